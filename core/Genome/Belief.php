<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * All that is believed of an animal's genotype: independent joint beliefs, each over one linkage group or several.
 * A group that is not named is wild type (for the sex group: wild type of the animal's sex).
 */
final readonly class Belief
{
    /** @var array<string, JointBelief> by each of its groups */
    private array $byGroup;

    /**
     * @param list<JointBelief> $factors over groups that do not overlap
     *
     * @throws GenomeError when two speak of one group
     */
    public function __construct(public Sex $sex, public array $factors)
    {
        $byGroup = [];
        foreach ($factors as $factor) {
            foreach ($factor->groups as $group) {
                if (isset($byGroup[$group])) {
                    throw GenomeError::believedTwice($group);
                }
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
            $pair = $state->at($group)->pairAt($i);
            $weighted[] = [SchoolChanges::pairKey(...$pair), $pair, $weight];
        }

        return Distribution::ofWeighted($weighted);
    }

    /**
     * P(state) over some groups and no others, those that share a factor taken together.
     *
     * @param list<LinkageGroup> $groups
     * @return list<array{State, Rational}>
     */
    public function statesOver(array $groups): array
    {
        /** @var array<string, JointBelief> $factors */
        $factors = [];
        foreach ($groups as $group) {
            $factor = $this->factorOf($group);
            $factors[implode('|', $factor->groups)] = $factor;
        }
        $states = [[State::none(), Rational::one()]];
        foreach ($factors as $factor) {
            $longer = [];
            foreach ($states as [$state, $p]) {
                foreach ($this->asked($factor, $groups) as [$more, $q]) {
                    $longer[] = [$state->and($more), $p->times($q)];
                }
            }
            $states = $longer;
        }

        return $states;
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return array<array-key, array{State, Rational}> what a factor says of those of the groups that it is over
     */
    private function asked(JointBelief $factor, array $groups): array
    {
        $keys = array_values(array_intersect($factor->groups, array_map(static fn (LinkageGroup $group): string => $group->key, $groups)));
        if (count($keys) === count($factor->groups)) {
            return $factor->states->entries();
        }

        return Weights::of(array_map(static function (array $entry) use ($keys): array {
            $state = $entry[0]->only($keys);

            return [$state->key, $state, $entry[1]];
        }, $factor->states->entries()))->entries();
    }

    /** Whether every group is known for certain, but for phase. */
    public function isCertain(): bool
    {
        foreach ($this->factors as $factor) {
            $kinds = [];
            foreach ($factor->states->entries() as [$state]) {
                $kinds[$state->unphasedKey()] = true;
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
                if ($part->fits($state->copiesOf(...))) {
                    $sum = $sum->plus($weight);
                }
            }
            $chance = $chance->times($sum);
        }

        return $chance;
    }
}
