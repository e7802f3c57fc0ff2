<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Probability\Rational;

/**
 * P(genotypes of the young | what was seen), in one kind of numbers. Given the sire and the genotypes of both parents the
 * young are independent: P(case) · Π over young Σ over genotypes P(genotype | case) · Π P(state of a cue | genotype), summed
 * over the cases. Strands are independent of each other given the sire.
 *
 * @template T
 */
final class Posterior
{
    /** @var list<Strand> */
    public readonly array $strands;

    /** @var list<T> P(sire), by place */
    public array $sires = [];

    /** @var array<string, list<list<array<int, T>>>> P(genotype | sire) of each young, by sire and strand */
    public array $young = [];

    /** Whether all that was seen can be together. */
    public bool $isPossible = true;

    /** @var SeenOf<T> */
    private readonly SeenOf $seen;

    /** @param Arithmetic<T> $numbers */
    public function __construct(private readonly Parentage $parentage, private readonly Sight $sight, private readonly Arithmetic $numbers)
    {
        $this->seen = new SeenOf($parentage, $sight, $numbers);
        $this->strands = array_map(static fn (array $groups): Strand => new Strand($parentage, $groups), $sight->ties()->components());
        $weights = [];
        foreach ($parentage->clutch->sires as $s => $sire) {
            $weight = $numbers->of($sire['weight']);
            foreach ($this->strands as $k => $strand) {
                $weight = $numbers->times($weight, $this->strand($s, $k, $strand));
            }
            $weights[] = $weight;
        }
        $this->normalise($weights);
    }

    /** How many numbers are worked with. */
    public static function size(Parentage $parentage, Ties $ties): int
    {
        $size = 0;
        foreach ($ties->components() as $groups) {
            $genotypes = array_product(array_map(static fn (string $group): int => count($parentage->options($group)), $groups));
            foreach ($parentage->clutch->sires as $sire) {
                $size += count($parentage->cases($sire['belief'], $groups)) * $genotypes * max(1, count($parentage->clutch->hatchlings));
            }
        }

        return (int) $size;
    }

    /** @return T P(what was seen on this strand | sire); the young's genotypes are kept */
    private function strand(int $s, int $k, Strand $strand): mixed
    {
        $cases = $strand->cases($this->parentage->clutch->sires[$s]);
        $hatchlings = $this->parentage->clutch->hatchlings;
        $sets = $this->sight->alikeOn($strand);
        $total = $this->numbers->zero();
        $sums = array_fill(0, count($hatchlings), []);
        $counts = array_map(
            fn (int $i): array => [$this->vector($this->sight->counted($strand, $i)), $this->parentage->clutch->counts[$i]['count']],
            $this->sight->countsOn($strand),
        );
        foreach ($this->answers($sets) as $answers) {
            $evidence = array_map(fn (Hatchling $one): array => $this->seen->of($strand, $one, $answers), $hatchlings);
            foreach ($cases as [$weight, $chances]) {
                $chances = array_map($this->numbers->of(...), $chances);
                $weight = $this->counted($this->numbers->of($weight), $chances, $counts);
                $likelihoods = array_map(fn (array $one): mixed => $this->numbers->dot($chances, $one), $evidence);
                $all = array_reduce($likelihoods, $this->numbers->times(...), $weight);
                $total = $this->numbers->plus($total, $all);
                foreach ($evidence as $h => $one) {
                    $others = $this->others($weight, $likelihoods, $h, $all);
                    if (! $this->numbers->isZero($others)) {
                        $this->numbers->add($sums[$h], $others, $chances, $one);
                    }
                }
            }
        }
        foreach ($hatchlings as $h => $one) {
            $this->young[$one->id][$s][$k] = $sums[$h];
        }

        return $total;
    }

    /**
     * @param T $weight
     * @param array<int, T> $chances
     * @param list<array{array<int, T>, int}> $counts
     * @return T
     */
    private function counted(mixed $weight, array $chances, array $counts): mixed
    {
        foreach ($counts as [$seen, $count]) {
            $chance = $this->numbers->dot($chances, $seen);
            for ($i = 0; $i < $count; $i++) {
                $weight = $this->numbers->times($weight, $chance);
            }
        }

        return $weight;
    }

    /**
     * The weight of a case by all young but one.
     *
     * @param T $weight
     * @param list<T> $likelihoods
     * @param T $all the product of all
     * @return T
     */
    private function others(mixed $weight, array $likelihoods, int $h, mixed $all): mixed
    {
        if (! $this->numbers->isZero($likelihoods[$h])) {
            return $this->numbers->over($all, $likelihoods[$h]);
        }
        unset($likelihoods[$h]);

        return array_reduce($likelihoods, $this->numbers->times(...), $weight);
    }

    /**
     * @param list<int> $sets
     * @return list<list<array{int, bool}>> every way in which the sets of alike can meet their targets
     */
    private function answers(array $sets): array
    {
        $answers = [[]];
        foreach ($sets as $set) {
            $answers = [
                ...array_map(static fn (array $one): array => [...$one, [$set, true]], $answers),
                ...array_map(static fn (array $one): array => [...$one, [$set, false]], $answers),
            ];
        }

        return $answers;
    }

    /**
     * @param array<int, Rational> $evidence
     * @return array<int, T>
     */
    private function vector(array $evidence): array
    {
        return array_map($this->numbers->of(...), $evidence);
    }

    /** @param list<T> $weights */
    private function normalise(array $weights): void
    {
        $total = array_reduce($weights, $this->numbers->plus(...), $this->numbers->zero());
        $this->isPossible = ! $this->numbers->isZero($total);
        if (! $this->isPossible) {
            return;
        }
        $this->sires = array_map(fn (mixed $weight): mixed => $this->numbers->over($weight, $total), $weights);
        foreach ($this->young as $id => $sires) {
            foreach ($sires as $s => $strands) {
                foreach ($strands as $k => $vector) {
                    $sum = array_reduce($vector, $this->numbers->plus(...), $this->numbers->zero());
                    $this->young[$id][$s][$k] = $this->numbers->isZero($sum)
                        ? []
                        : array_map(fn (mixed $one): mixed => $this->numbers->over($one, $sum), $vector);
                }
            }
        }
    }
}
