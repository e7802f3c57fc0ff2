<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/**
 * Loci that are inherited together: their order, and the recombination fraction r of each neighbouring pair
 * (0 ≤ r ≤ 1/2, no interference). A locus that is linked to nothing is a group of one.
 */
final readonly class LinkageGroup
{
    /**
     * @param list<string> $loci keys, in order along the chromosome
     * @param list<Rational> $recombination r between locus i and locus i + 1
     * @param Rational|null $coupling P(mutant alleles at two neighbouring loci stand on one chromosome | the animal has one copy of each and
     *     nothing is known of its phase); null where coupling and repulsion are alike
     *
     * @throws GenomeError when there is not one r from 0 to 1/2 for each pair of neighbours
     */
    public function __construct(
        public string $key,
        public array $loci,
        public array $recombination,
        public string $note = '',
        public ?Rational $coupling = null,
    ) {
        if (count($recombination) !== max(0, count($loci) - 1)) {
            throw GenomeError::neighbours($key, count($loci), count($recombination));
        }
        foreach ($recombination as $r) {
            if ($r->isNegative() || $r->compareTo(Rational::of(1, 2)) > 0) {
                throw GenomeError::recombination($key, $r->toString());
            }
        }
    }

    public function holds(string $locus): bool
    {
        return in_array($locus, $this->loci, true);
    }

    public function holdsSex(): bool
    {
        return $this->holds(Sex::LOCUS);
    }

    /** @throws GenomeError when it does not hold the locus */
    public function indexOf(string $locus): int
    {
        $at = array_search($locus, $this->loci, true);

        return is_int($at) ? $at : throw GenomeError::locusNotHeld($locus, $this->key, $this->loci);
    }

    /** The diplotype without a mutant allele. */
    public function wildType(Sex $sex): Diplotype
    {
        $first = $second = [];
        foreach ($this->loci as $locus) {
            [$first[], $second[]] = $locus === Sex::LOCUS ? $sex->alleles() : [Allele::WILD, Allele::WILD];
        }

        return new Diplotype($first, $second);
    }

    /**
     * The haplotypes that a parent gives, each with P(haplotype | parent): walk along the chromosome, starting on
     * either strand with 1/2 and changing strands between neighbours with their r.
     *
     * @return Distribution<list<string>>
     */
    public function gametes(Diplotype $parent): Distribution
    {
        $half = Rational::of(1, 2);
        if (count($this->loci) === 1) {
            [$a, $b] = $parent->haplotypes;

            return Distribution::ofWeighted([[$a[0], $a, $half], [$b[0], $b, $half]]);
        }
        /** @var list<array{int, list<string>, Rational}> $walks strand, haplotype so far, probability */
        $walks = [[0, [$parent->haplotypes[0][0]], $half], [1, [$parent->haplotypes[1][0]], $half]];
        foreach ($this->recombination as $i => $r) {
            $longer = [];
            foreach ($walks as [$strand, $haplotype, $weight]) {
                foreach ([[$strand, $r->complement()], [1 - $strand, $r]] as [$next, $step]) {
                    $longer[] = [$next, [...$haplotype, $parent->haplotypes[$next][$i + 1]], $weight->times($step)];
                }
            }
            $walks = self::merged($longer);
        }

        return Distribution::ofWeighted(array_map(
            static fn (array $walk): array => [implode('.', $walk[1]), $walk[1], $walk[2]],
            $walks,
        ));
    }

    /**
     * What a male with one copy is: a male maker where the Y carries it, a female maker where the X does.
     *
     * @return Sex|null null for a female, for none or two copies, and where the group does not hold sex
     */
    public function makerOf(Diplotype $diplotype, string $locus): ?Sex
    {
        if (! $this->holdsSex()) {
            return null;
        }
        $sex = $this->indexOf(Sex::LOCUS);
        $at = $this->indexOf($locus);
        [$first, $second] = $diplotype->haplotypes;
        $isMale = Sex::ofAlleles([$first[$sex], $second[$sex]]) === Sex::Male;
        if (! $isMale || ($first[$at] === Allele::WILD) === ($second[$at] === Allele::WILD)) {
            return null;
        }
        $carrier = $first[$at] === Allele::WILD ? $second : $first;

        return $carrier[$sex] === Sex::Y ? Sex::Male : Sex::Female;
    }

    /**
     * All diplotypes with the given alleles at each locus, one for each phase.
     *
     * @param array<string, array{string, string}> $pairs alleles by locus; loci left out are wild type
     * @return array<string, Diplotype> by key
     */
    public function phasings(array $pairs): array
    {
        /** @var list<array{list<string>, list<string>}> $strands */
        $strands = [[[], []]];
        foreach ($this->loci as $locus) {
            [$a, $b] = $pairs[$locus] ?? [Allele::WILD, Allele::WILD];
            $longer = [];
            foreach ($strands as [$first, $second]) {
                $longer[] = [[...$first, $a], [...$second, $b]];
                if ($a !== $b && $first !== $second) {
                    $longer[] = [[...$first, $b], [...$second, $a]];
                }
            }
            $strands = $longer;
        }
        $all = [];
        foreach ($strands as [$first, $second]) {
            $diplotype = new Diplotype($first, $second);
            $all[$diplotype->key] = $diplotype;
        }

        return $all;
    }

    /**
     * How likely each of some phasings is where nothing is known of the phase; they add up to 1.
     *
     * @param list<Diplotype> $phasings of the same alleles
     * @return list<Rational>
     */
    public function phaseChances(array $phasings): array
    {
        $weights = array_map($this->phaseWeight(...), $phasings);
        $sum = array_reduce($weights, static fn (Rational $sum, Rational $one): Rational => $sum->plus($one), Rational::zero());

        return array_map(
            static fn (Rational $one): Rational => $sum->isZero() ? Rational::of(1, count($weights)) : $one->dividedBy($sum), $weights,
        );
    }

    private function phaseWeight(Diplotype $diplotype): Rational
    {
        $weight = Rational::one();
        if ($this->coupling === null) {
            return $weight;
        }
        foreach (array_keys($this->recombination) as $i) {
            [[$a, $b], [$c, $d]] = [$diplotype->pairAt($i), $diplotype->pairAt($i + 1)];
            if (($a === Allele::WILD) === ($b === Allele::WILD) || ($c === Allele::WILD) === ($d === Allele::WILD)) {
                continue; // no single copy at one of them: there is no phase
            }
            $isCoupled = ($a === Allele::WILD) === ($c === Allele::WILD);
            $weight = $weight->times($isCoupled ? $this->coupling : $this->coupling->complement());
        }

        return $weight;
    }

    /**
     * @param list<array{int, list<string>, Rational}> $walks
     * @return list<array{int, list<string>, Rational}>
     */
    private static function merged(array $walks): array
    {
        $merged = [];
        foreach ($walks as [$strand, $haplotype, $weight]) {
            $key = $strand.':'.implode('.', $haplotype);
            $merged[$key] = [$strand, $haplotype, isset($merged[$key]) ? $merged[$key][2]->plus($weight) : $weight];
        }

        return array_values($merged);
    }
}
