<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/**
 * All that is believed of an animal's genotype: independent joint beliefs, each over one linkage group or several.
 * A group that is not named is wild type (for the sex group: wild type of the animal's sex).
 */
final readonly class Belief
{
    /** @var array<string, JointBelief> by each of its groups */
    private array $byGroup;

    /** @param list<JointBelief> $factors over groups that do not overlap */
    public function __construct(public Sex $sex, public array $factors)
    {
        $byGroup = [];
        foreach ($factors as $factor) {
            foreach ($factor->groups as $group) {
                $byGroup[$group] = $factor;
            }
        }
        $this->byGroup = $byGroup;
    }

    /** @return list<string> keys of the groups that are not plainly wild type */
    public function groups(): array
    {
        return array_keys($this->byGroup);
    }

    public function factorOf(LinkageGroup $group): JointBelief
    {
        return $this->byGroup[$group->key] ?? JointBelief::certain($group, $group->wildType($this->sex));
    }

    /**
     * P(unordered pair of alleles) at one locus.
     *
     * @return Distribution<array{string, string}> by pair key
     */
    public function marginalAt(string $locus, LinkageGroup $group): Distribution
    {
        $i = $group->indexOf($locus);
        $weighted = [];
        foreach ($this->factorOf($group)->states->entries() as [$state, $weight]) {
            $pair = $state[$group->key]->pairAt($i);
            $weighted[] = [SchoolChanges::pairKey(...$pair), $pair, $weight];
        }

        return Distribution::ofWeighted($weighted);
    }

    /**
     * P(state) over some groups, those that share a factor taken together.
     *
     * @param list<LinkageGroup> $groups
     * @return list<array{array<string, Diplotype>, Rational}> diplotype by group
     */
    public function statesOver(array $groups): array
    {
        /** @var array<string, JointBelief> $factors */
        $factors = [];
        foreach ($groups as $group) {
            $factor = $this->factorOf($group);
            $factors[implode('|', $factor->groups)] = $factor;
        }
        $states = [[[], Rational::one()]];
        foreach ($factors as $factor) {
            $longer = [];
            foreach ($states as [$state, $p]) {
                foreach ($factor->states->entries() as [$more, $q]) {
                    $longer[] = [$state + $more, $p->times($q)];
                }
            }
            $states = $longer;
        }

        return $states;
    }

    /** Whether every group is known for certain, but for phase. */
    public function isCertain(): bool
    {
        foreach ($this->factors as $factor) {
            $kinds = [];
            foreach ($factor->states->entries() as [$state]) {
                $kinds[implode('|', array_map(static fn (Diplotype $diplotype): string => $diplotype->unphasedKey, $state))] = true;
            }
            if (count($kinds) > 1) {
                return false;
            }
        }

        return true;
    }

    /** P(a fits) for the copies of alleles that an animal has, the alleles at different groups taken together. */
    public function chanceOf(GenotypePattern $pattern, Catalogue $catalogue): Rational
    {
        $chance = Rational::one();
        $asked = [];
        foreach ($pattern->copies as $allele => $fewest) {
            $group = $catalogue->groupOf($catalogue->allele($allele)->locus);
            $asked[implode('|', $this->factorOf($group)->groups)][$allele] = $fewest;
        }
        foreach ($asked as $copies) {
            $part = new GenotypePattern($copies);
            $factor = $this->factorOf($catalogue->groupOf($catalogue->allele(array_key_first($copies))->locus));
            $sum = Rational::zero();
            foreach ($factor->states->entries() as [$state, $weight]) {
                if ($part->fits(self::counter($state, $catalogue))) {
                    $sum = $sum->plus($weight);
                }
            }
            $chance = $chance->times($sum);
        }

        return $chance;
    }

    /**
     * @param array<string, Diplotype> $state
     * @return callable(string): int copies of an allele in this state
     */
    public static function counter(array $state, Catalogue $catalogue): callable
    {
        return static function (string $allele) use ($state, $catalogue): int {
            $group = $catalogue->groupOf($catalogue->allele($allele)->locus);
            $diplotype = $state[$group->key] ?? null;
            if ($diplotype === null) {
                return 0;
            }
            $pair = $diplotype->pairAt($group->indexOf($catalogue->allele($allele)->locus));

            return ($pair[0] === $allele ? 1 : 0) + ($pair[1] === $allele ? 1 : 0);
        };
    }
}
