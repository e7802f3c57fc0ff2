<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** What the young of a clutch are, from the parents and from what was seen of each: the odds of genes and genotypes, what to look at next. */
final class Identification
{
    /** Up to so many numbers are worked with exactly as well. */
    private const EXACT_SIZE = 4_000;

    private readonly Parentage $parentage;

    private readonly Sight $sight;

    /** @var Posterior<float> */
    private readonly Posterior $posterior;

    /** @var Posterior<Rational>|null */
    private readonly ?Posterior $exact;

    private readonly GeneChances $chances;

    /** @var list<string> hatchlings that these parents cannot have */
    public readonly array $impossible;

    /** @param array<string, Cue> $cues by key */
    public function __construct(private readonly Catalogue $catalogue, public readonly Clutch $clutch, private readonly array $cues)
    {
        [$this->parentage, $this->sight, $this->posterior, $this->impossible] = $this->possible();
        $this->chances = new GeneChances($this->catalogue, $this->sight, $this->posterior);
        $recorded = array_sum(array_map(static fn (Hatchling $one): int => count($one->cues), $this->parentage->clutch->hatchlings));
        $this->exact = $recorded <= 12 && Posterior::size($this->parentage, $this->sight->ties()) <= self::EXACT_SIZE
            ? new Posterior($this->parentage, $this->sight, new Fractions)
            : null;
    }

    /** @return array{Parentage, Sight, Posterior<float>, list<string>} without those that cannot be, named */
    private function possible(): array
    {
        $parentage = new Parentage($this->catalogue, $this->clutch);
        $sight = new Sight($parentage, $this->cues);
        $impossible = array_map(
            static fn (Hatchling $one): string => $one->id,
            array_values(array_filter($this->clutch->hatchlings, static fn (Hatchling $one): bool => ! $sight->isPossible($one))),
        );
        if ($impossible === [] && $sight->canCount()) {
            $posterior = new Posterior($parentage, $sight, new Floats);
            if ($posterior->isPossible) {
                return [$parentage, $sight, $posterior, []];
            }
        }
        $ids = array_map(static fn (Hatchling $one): string => $one->id, $this->clutch->hatchlings);
        if (! $sight->canCount() || ! $this->posteriorOf($this->clutch->without($ids))[2]->isPossible) {
            throw IdentificationError::impossibleCount(
                implode(', ', array_map(static fn (array $count): string => $count['saw']->text, $this->clutch->counts)),
            );
        }
        $kept = [];
        foreach ($this->clutch->hatchlings as $one) { // one after the other: those that fit the ones before
            $rest = array_values(
                array_diff(array_map(static fn (Hatchling $other): string => $other->id, $this->clutch->hatchlings), [...$kept, $one->id]),
            );
            $isOut = in_array($one->id, $impossible, true) || ! $this->posteriorOf($this->clutch->without($rest))[2]->isPossible;
            $isOut ? $impossible[] = $one->id : $kept[] = $one->id;
        }
        $impossible = array_values(array_unique($impossible));

        return [...$this->posteriorOf($this->clutch->without($impossible)), $impossible];
    }

    /** @return array{Parentage, Sight, Posterior<float>} */
    private function posteriorOf(Clutch $clutch): array
    {
        $parentage = new Parentage($this->catalogue, $clutch);
        $sight = new Sight($parentage, $this->cues);

        return [$parentage, $sight, new Posterior($parentage, $sight, new Floats)];
    }

    /** @return list<array{id: string, exact: Rational|null, decimal: float}> */
    public function sires(): array
    {
        return array_map(fn (array $sire, int $s): array => [
            'id' => $sire['id'], 'exact' => GeneChances::short($this->exact?->sires[$s] ?? null), 'decimal' => $this->posterior->sires[$s] ?? 0.0,
        ], $this->parentage->clutch->sires, array_keys($this->parentage->clutch->sires));
    }

    /**
     * P(at least one copy), for every allele that a young may have, in catalogue order.
     *
     * @return list<array{allele: Allele, exact: Rational|null, decimal: float}>
     */
    public function genes(string $id): array
    {
        $genes = [];
        foreach ($this->catalogue->alleles as $allele) {
            $has = GeneChances::carrier($allele->key);
            if ($has($this->sight->fixed())) {
                $genes[] = ['allele' => $allele, 'exact' => Rational::one(), 'decimal' => 1.0];
            } elseif (($chance = $this->chances->chance($this->posterior, new Floats, $id, $allele->locus, $has)) > 0.0) {
                $exact = $this->exact === null ? null : $this->chances->chance($this->exact, new Fractions, $id, $allele->locus, $has);
                $genes[] = ['allele' => $allele, 'exact' => GeneChances::short($exact), 'decimal' => $chance];
            }
        }

        return $genes;
    }

    /** What can be said of a young, as sure only what is sure. */
    public function label(string $id): string
    {
        $printer = new Printer($this->catalogue);
        $words = [];
        foreach ($this->catalogue->loci as $locus => $_) {
            if ($locus === Sex::LOCUS) {
                continue;
            }
            $pairs = $this->chances->pairs($id, $locus);
            if ($pairs !== []) {
                $words[] = $printer->locus($locus, Distribution::ofWeighted($pairs));
            }
        }

        return Printer::text($words);
    }

    /**
     * Genotypes of a young, the likeliest first: so many, and how many there are.
     *
     * @return array{
     *     list<array{label: string, alleles: array<string, array{string, string}>, sex: Sex|null, exact: Rational|null, decimal: float}>,
     *     int,
     * }
     */
    public function genotypes(string $id, int $most): array
    {
        return (new Genotypes($this->catalogue, $this->sight->fixed(), $this->posterior, $this->exact))->of($id, $most);
    }

    /** @return array{next: list<array{cue: Cue, bits: float, separates: string}>, later: list<Cue>} cues that were not looked at yet */
    public function cues(string $id): array
    {
        $one = array_values(
            array_filter($this->parentage->clutch->hatchlings, static fn (Hatchling $young): bool => $young->id === $id),
        )[0] ?? null;
        $next = $later = [];
        $questions = new NextCue($this->sight, $this->posterior);
        foreach ($this->cues as $key => $cue) {
            if ($one === null || isset($one->cues[$key]) || ($cue->repeats !== null && isset($one->cues[$cue->repeats]))) {
                continue;
            }
            [$bits, $separates] = $questions->bits($one, $cue);
            if ($one->days !== null && $one->days < $cue->fromDays) {
                $later[] = $cue;
            } else {
                $next[] = ['cue' => $cue, 'bits' => $bits, 'separates' => $separates];
            }
        }
        usort($next, static fn (array $a, array $b): int => [$b['bits'], $a['cue']->key] <=> [$a['bits'], $b['cue']->key]);

        return ['next' => $next, 'later' => $later];
    }
}
