<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Genome\Sex;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Probability\Rational;

/**
 * What an odd look may be, after what was bred: P(hypothesis | all young seen), given that the first animal looks odd (it is
 * written down because of that, so its own look speaks for none of them). Each hypothesis is a factor graph over the
 * notebook's animals; a look is mistaken, or comes without its gene, with a small chance.
 */
final class TraitNotebook
{
    private readonly TraitGraph $graph;

    /**
     * @param list<TraitAnimal> $animals the first is the odd one that it began with; parents before their young
     * @param bool $hasGene whether there is a known gene that the trait might be allelic to
     */
    public function __construct(private readonly array $animals, private readonly bool $hasGene = false)
    {
        $this->graph = new TraitGraph($hasGene);
    }

    /** @return array<string, float> P(hypothesis | what was seen) by its value */
    public function posterior(): array
    {
        $logs = [];
        foreach ($this->hypotheses() as $hypothesis) {
            $logs[$hypothesis->value] = log($hypothesis->prior()) + $this->log($hypothesis, $this->animals) - $this
                ->log($hypothesis, [$this->animals[0]]);
        }
        $most = max([-INF, ...array_values($logs)]);
        $weights = array_map(static fn (float $log): float => exp($log - $most), $logs);
        $sum = array_sum($weights);

        return array_map(static fn (float $weight): float => $weight / $sum, $weights);
    }

    /** @return list<TraitHypothesis> */
    public function hypotheses(): array
    {
        return $this->hasGene
            ? TraitHypothesis::cases()
            : [
                TraitHypothesis::NotInherited, TraitHypothesis::Dominant, TraitHypothesis::IncompleteDominant,
                TraitHypothesis::Recessive, TraitHypothesis::SexLinked,
            ];
    }

    /**
     * Every cross of animals that are written down one by one, or of one of them with an unrelated normal one, by how much
     * a clutch of it is expected to tell.
     *
     * @return list<array{sire: string, dam: string, bits: float, separation: Separation}> the most telling first
     */
    public function nextCrosses(int $eggs = 6): array
    {
        $posterior = $this->posterior();
        $singles = array_values(array_filter($this->animals, static fn (TraitAnimal $one): bool => $one->count === 1));
        $normal = [
            Sex::Male->value => new TraitAnimal('an unrelated normal male', Sex::Male, 'normal'),
            Sex::Female->value => new TraitAnimal('an unrelated normal female', Sex::Female, 'normal'),
        ];
        $crosses = [];
        foreach ([...array_filter($singles, static fn (TraitAnimal $one): bool => $one->sex === Sex::Male), $normal['male']] as $sire) {
            foreach (
                [...array_filter($singles, static fn (TraitAnimal $one): bool => $one->sex === Sex::Female), $normal['female']] as $dam
            ) {
                if ($sire === $normal['male'] && $dam === $normal['female']) {
                    continue;
                }
                $separation = $this->separation($sire, $dam, $posterior);
                $crosses[] = [
                    'sire' => $sire->id, 'dam' => $dam->id, 'bits' => $separation->information($eggs),
                    'separation' => $separation,
                ];
            }
        }
        usort($crosses, static fn (array $a, array $b): int => [$b['bits'], $a['sire'], $a['dam']] <=> [$a['bits'], $b['sire'], $b['dam']]);

        return $crosses;
    }

    /** @param array<string, float> $posterior */
    private function separation(TraitAnimal $sire, TraitAnimal $dam, array $posterior): Separation
    {
        $animals = $this->animals;
        foreach ([$sire, $dam] as $one) {
            $animals = in_array($one, $animals, true) ? $animals : [...$animals, $one];
        }
        $cases = [];
        foreach ($this->hypotheses() as $hypothesis) {
            if ($posterior[$hypothesis->value] < 1e-4) {
                continue;
            }
            [$sizes, $factors, $number, $genotypes] = $this->graph->graph($hypothesis, $animals);
            $pair = [$number[$sire->id], $number[$dam->id]];
            // A table that says nothing keeps the two together, so that their joint odds can be read.
            $factors[] = Factor::dense($pair, array_fill(0, $sizes[$pair[0]] * $sizes[$pair[1]], Rational::one()));
            $elimination = new Elimination(
                $sizes, $factors, Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors)),
                new Doubles,
            );
            $elimination->run();
            $joint = $elimination->jointOf(...$pair);
            $at = 0;
            foreach ($genotypes[$sire->id] as [$left]) {
                foreach ($genotypes[$dam->id] as [$right]) {
                    $share = ($joint[$at++] ?? Rational::zero())->toFloat();
                    if ($share > 1e-7) {
                        $cases[] = [$hypothesis->value, $posterior[$hypothesis->value] * $share, $this->looks($hypothesis, $left, $right)];
                    }
                }
            }
        }

        return new Separation($cases);
    }

    /**
     * @param list<string> $sire
     * @param list<string> $dam
     * @return array<string, float> P(look of an egg), sexes apart where the trait is linked to sex
     */
    private function looks(TraitHypothesis $hypothesis, array $sire, array $dam): array
    {
        $looks = [];
        foreach ([Sex::Male, Sex::Female] as $sex) {
            foreach ($this->graph->young($hypothesis, $sire, $dam, $sex) as [$genotype, $p]) {
                foreach ($this->graph->seen($hypothesis, $genotype) as $look => $q) {
                    $looks["{$sex->value} {$look}"] = ($looks["{$sex->value} {$look}"] ?? 0.0) + .5 * $p->toFloat() * $q->toFloat();
                }
            }
        }

        return $looks;
    }

    /** @param list<TraitAnimal> $animals */
    private function log(TraitHypothesis $hypothesis, array $animals): float
    {
        [$sizes, $factors] = $this->graph->graph($hypothesis, $animals);

        return (
            new Elimination(
                $sizes, $factors, Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors)),
                new Doubles,
            )
        )->logEvidence();
    }

}
