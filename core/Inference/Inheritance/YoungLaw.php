<?php

declare(strict_types=1);

namespace Destino\Inference\Inheritance;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * P(genotype of a young | genotypes of its parents) over some linkage groups, worked out once for each pair of genotypes.
 * What is recorded as an animal has hatched, so forms that die in the egg are left out and the rest is scaled.
 *
 * @phpstan-type State array<string, Diplotype>
 * @phpstan-type Gamete array{array<string, list<string>>, Rational}
 */
final class YoungLaw
{
    /** @var array<string, array<string, array{State, Rational}>> living young by pair of parents */
    private array $living = [];

    /** @var array<string, array<string, array{State, Rational}>> eggs by pair of parents */
    private array $eggs = [];

    /** @var array<string, list<Gamete>> */
    private array $gametes = [];

    /** @var array<string, bool> */
    private array $lethal = [];

    /** @param list<LinkageGroup> $groups */
    public function __construct(private readonly Catalogue $catalogue, private readonly array $groups) {}

    /**
     * @param State|null $sire null for one outside the records: wild type
     * @param State|null $dam
     * @return array<string, array{State, Rational}> living young by key; empty where all die
     */
    public function living(?array $sire, ?array $dam): array
    {
        $pair = self::key($sire).' x '.self::key($dam);
        if (isset($this->living[$pair])) {
            return $this->living[$pair];
        }
        $alive = array_filter($this->eggs($sire, $dam), fn (array $young): bool => ! $this->isLethal($young[0]));
        $total = array_reduce($alive, static fn (Rational $sum, array $young): Rational => $sum->plus($young[1]), Rational::zero());

        return $this->living[$pair] = $total->isOne() ? $alive : array_map(static fn (array $young): array => [$young[0], $young[1]->dividedBy($total)], $alive);
    }

    /**
     * @param State|null $sire
     * @param State|null $dam
     * @return array<string, array{State, Rational}> eggs by key
     */
    public function eggs(?array $sire, ?array $dam): array
    {
        return $this->eggs[self::key($sire).' x '.self::key($dam)] ??= $this->joined($this->gametesOf($sire, Sex::Male), $this->gametesOf($dam, Sex::Female));
    }

    /**
     * @param list<Gamete> $paternal
     * @param list<Gamete> $maternal
     * @return array<string, array{State, Rational}>
     */
    public function joined(array $paternal, array $maternal): array
    {
        $young = [];
        foreach ($paternal as [$left, $p]) {
            foreach ($maternal as [$right, $q]) {
                $state = [];
                foreach ($this->groups as $group) {
                    $state[$group->key] = new Diplotype($left[$group->key], $right[$group->key]);
                }
                $key = self::key($state);
                $chance = $p->times($q);
                $young[$key] = [$state, isset($young[$key]) ? $young[$key][1]->plus($chance) : $chance];
            }
        }

        return $young;
    }

    /**
     * @param State|null $parent
     * @return list<Gamete>
     */
    public function gametesOf(?array $parent, Sex $sex): array
    {
        if ($parent === null) {
            $parent = [];
            foreach ($this->groups as $group) {
                $parent[$group->key] = $group->wildType($sex);
            }
        }

        return $this->gametes[self::key($parent)] ??= $this->meiosis($parent);
    }

    /**
     * P(an egg was seen to be such | its parents): of those that live, or of those that are found dead.
     *
     * @param State|null $sire
     * @param State|null $dam
     * @param Rational $lethalDead P(it died of its form | it is dead and such a form is possible)
     */
    public function seen(?array $sire, ?array $dam, Target $saw, bool $isDead, Rational $lethalDead): Rational
    {
        if (! $isDead) {
            return $this->share($this->living($sire, $dam), $saw);
        }
        $eggs = $this->eggs($sire, $dam);
        $dying = array_filter($eggs, fn (array $young): bool => $this->isLethal($young[0]));

        return $this->share($dying, $saw)->times($lethalDead)->plus($this->share($eggs, $saw)->times($lethalDead->complement()));
    }

    /** @param State $state */
    public function isLethal(array $state): bool
    {
        return $this->lethal[self::key($state)] ??= $this->dies($state);
    }

    /**
     * Whether a genotype meets what a condition asks of these groups.
     *
     * @param State $state
     */
    public function accepts(array $state, Target $saw): bool
    {
        foreach ($this->groups as $group) {
            foreach ($group->loci as $i => $locus) {
                $pair = $state[$group->key]->pairAt($i);
                if ($locus === Sex::LOCUS ? ! $saw->acceptsSex(Sex::ofAlleles($pair)) : ! $saw->accepts($this->catalogue->form($locus, ...$pair))) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param State|null $state */
    public static function key(?array $state): string
    {
        if ($state === null) {
            return '-';
        }
        if (count($state) > 1) {
            ksort($state);
        }

        return implode('|', array_map(static fn (Diplotype $diplotype): string => $diplotype->key, $state));
    }

    /** @param array<string, array{State, Rational}> $young */
    private function share(array $young, Target $saw): Rational
    {
        $sum = Rational::zero();
        foreach ($young as [$state, $chance]) {
            $sum = $this->accepts($state, $saw) ? $sum->plus($chance) : $sum;
        }

        return $sum;
    }

    /**
     * @param State $parent
     * @return list<Gamete>
     */
    private function meiosis(array $parent): array
    {
        $gametes = [[[], Rational::one()]];
        foreach ($this->groups as $group) {
            $longer = [];
            foreach ($group->gametes($parent[$group->key])->entries() as [$haplotype, $chance]) {
                foreach ($gametes as [$haplotypes, $p]) {
                    $longer[] = [$haplotypes + [$group->key => $haplotype], $p->times($chance)];
                }
            }
            $gametes = $longer;
        }

        return $gametes;
    }

    /** @param State $state */
    private function dies(array $state): bool
    {
        foreach ($this->groups as $group) {
            foreach ($group->loci as $i => $locus) {
                if ($locus !== Sex::LOCUS && $this->catalogue->form($locus, ...$state[$group->key]->pairAt($i))->isLethal()) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * What a parent outside the records gives at the most: the wild type or any of some alleles, all alike.
     *
     * @param list<array<string, list<string>>> $haplotypes
     * @return list<Gamete>
     */
    public static function alike(array $haplotypes): array
    {
        return array_map(static fn (array $haplotype): array => [$haplotype, Rational::of(1, count($haplotypes))], $haplotypes);
    }

    /** Whether a state is wild type all over, sex aside. */
    public static function isWild(Diplotype $diplotype): bool
    {
        foreach ($diplotype->haplotypes as $haplotype) {
            foreach ($haplotype as $allele) {
                if ($allele !== Allele::WILD && $allele !== Sex::X && $allele !== Sex::Y) {
                    return false;
                }
            }
        }

        return true;
    }
}
