<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * What parents give: gametes of a genotype, gametes of what is believed of an animal, and the eggs of two. The law of one
 * linkage group is LinkageGroup::gametes; groups are independent given the genotype. Answers are kept.
 */
final class Meiosis
{
    /** @var array<string, Distribution<list<string>>> by group and diplotype */
    private array $strands = [];

    /** @var array<string, Distribution<Gamete>> by groups and genotype */
    private array $gametes = [];

    /** @var array<string, Diplotype> by the haplotypes that met */
    private array $met = [];

    /** @return Distribution<list<string>> P(haplotype | diplotype) */
    public function strands(LinkageGroup $group, Diplotype $parent): Distribution
    {
        return $this->strands["{$group->key} {$parent->key}"] ??= $group->gametes($parent);
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return Distribution<Gamete> P(gamete | genotype)
     */
    public function gametes(array $groups, State $parent): Distribution
    {
        $key = implode('|', array_map(static fn (LinkageGroup $group): string => "{$group->key}:{$parent->at($group)->key}", $groups));
        if (! isset($this->gametes[$key])) {
            $products = [[[], Rational::one()]];
            foreach ($groups as $group) {
                $longer = [];
                foreach ($this->strands($group, $parent->at($group))->entries() as [$haplotype, $chance]) {
                    foreach ($products as [$haplotypes, $p]) {
                        $longer[] = [$haplotypes + [$group->key => $haplotype], $p->times($chance)];
                    }
                }
                $products = $longer;
            }
            $this->gametes[$key] = Weights::of(array_map(static function (array $product): array {
                $gamete = new Gamete($product[0]);

                return [$gamete->key, $gamete, $product[1]];
            }, $products))->normalised();
        }

        return $this->gametes[$key];
    }

    /**
     * P(gamete) of an animal of which several genotypes are possible. Groups that its belief ties stay tied.
     *
     * @param list<LinkageGroup> $groups
     * @param iterable<array{State, Rational}> $states
     * @return Weights<Gamete>
     */
    public function pool(array $groups, iterable $states): Weights
    {
        /** @var Weights<Gamete> $pool */
        $pool = new Weights;
        foreach ($states as [$state, $weight]) {
            foreach ($this->gametes($groups, $state)->entries() as $key => [$gamete, $chance]) {
                $pool->add($key, $gamete, $weight->times($chance));
            }
        }

        return $pool;
    }

    /**
     * P(genotype of an egg | genotypes of its parents).
     *
     * @param list<LinkageGroup> $groups
     * @return Weights<State>
     */
    public function eggs(array $groups, State $sire, State $dam): Weights
    {
        return $this->joined($this->gametes($groups, $sire)->entries(), $this->gametes($groups, $dam)->entries());
    }

    /**
     * Every sperm with every egg cell.
     *
     * @param array<array-key, array{Gamete, Rational}> $paternal
     * @param array<array-key, array{Gamete, Rational}> $maternal
     * @return Weights<State>
     */
    public function joined(array $paternal, array $maternal): Weights
    {
        /** @var Weights<State> $eggs */
        $eggs = new Weights;
        foreach ($paternal as [$left, $p]) {
            foreach ($maternal as [$right, $q]) {
                $state = $this->union($left, $right);
                $eggs->add($state->key, $state, $p->times($q));
            }
        }

        return $eggs;
    }

    private function union(Gamete $left, Gamete $right): State
    {
        $diplotypes = [];
        foreach ($left->haplotypes as $group => $haplotype) {
            $other = $right->haplotypes[$group];
            $diplotypes[$group] = $this->met[implode('.', $haplotype).'~'.implode('.', $other)] ??= new Diplotype($haplotype, $other);
        }

        return State::of($diplotypes);
    }
}
