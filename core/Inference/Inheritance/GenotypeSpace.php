<?php

declare(strict_types=1);

namespace Destino\Inference\Inheritance;

use Destino\Genome\Catalogue;
use Destino\Genome\Concealment;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * The genotypes over some linkage groups, each met once and numbered, with how they are inherited, what is seen of them and
 * what they hide.
 *
 * @phpstan-type State array<string, Diplotype>
 */
final class GenotypeSpace
{
    public readonly string $key;

    public readonly YoungLaw $law;

    /** @var list<State> */
    private array $states = [];

    /** @var array<string, int> */
    private array $numbers = [];

    /** @var array<string, array<int, Rational>> young by parents and way */
    private array $young = [];

    /** @var array<int, list<Mask>> */
    private array $masks = [];

    /** @var array<int, array{Target, array<string, bool>}> */
    private array $seen = [];

    /** @param list<LinkageGroup> $groups */
    public function __construct(public readonly Catalogue $catalogue, public readonly array $groups)
    {
        $this->key = implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups));
        $this->law = new YoungLaw($catalogue, $groups);
    }

    /** @return list<string> keys of the groups */
    public function groupKeys(): array
    {
        return array_map(static fn (LinkageGroup $group): string => $group->key, $this->groups);
    }

    /** @return list<string> its loci, that of the sex left out */
    public function loci(): array
    {
        return array_values(array_diff(array_merge(...array_map(static fn (LinkageGroup $group): array => $group->loci, $this->groups)), [Sex::LOCUS]));
    }

    public function holds(string $locus): bool
    {
        foreach ($this->groups as $group) {
            if (in_array($locus, $group->loci, true)) {
                return true;
            }
        }

        return false;
    }

    public function holdsSex(): bool
    {
        return $this->holds(Sex::LOCUS);
    }

    /** @param State $state */
    public function number(array $state): int
    {
        $key = YoungLaw::key($state);
        if (! isset($this->numbers[$key])) {
            $this->numbers[$key] = count($this->states);
            $this->states[] = $state;
        }

        return $this->numbers[$key];
    }

    /** @return State */
    public function state(int $number): array
    {
        return $this->states[$number];
    }

    public function keyOf(int $number): string
    {
        return YoungLaw::key($this->states[$number]);
    }

    public function wild(Sex $sex): int
    {
        $state = [];
        foreach ($this->groups as $group) {
            $state[$group->key] = $group->wildType($sex);
        }

        return $this->number($state);
    }

    /** @return array<int, Rational> P(genotype of a living young | parents); empty where all die */
    public function living(int $sire, int $dam): array
    {
        return $this->young["{$sire} {$dam}"] ??= $this->numbered($this->law->living($this->states[$sire], $this->states[$dam]));
    }

    /** @return array<int, Rational> P(genotype of an egg | parents) */
    public function eggs(int $sire, int $dam): array
    {
        return $this->young["e{$sire} {$dam}"] ??= $this->numbered($this->law->eggs($this->states[$sire], $this->states[$dam]));
    }

    /**
     * P(genotype | parents, and one of the two gametes carries a new copy of one of the alleles).
     *
     * @param list<string> $alleles
     * @return array<int, Rational>
     */
    public function mutant(int $sire, int $dam, array $alleles): array
    {
        $key = "m{$sire} {$dam} ".implode(',', $alleles);
        if (! isset($this->young[$key])) {
            $paternal = $this->law->gametesOf($this->states[$sire], Sex::Male);
            $maternal = $this->law->gametesOf($this->states[$dam], Sex::Female);
            $half = Rational::of(1, 2);
            $mutant = [];
            foreach ([$this->law->joined($this->mutated($paternal, $alleles), $maternal), $this->law->joined($paternal, $this->mutated($maternal, $alleles))] as $young) {
                foreach ($young as [$state, $chance]) {
                    $number = $this->number($state);
                    $mutant[$number] = isset($mutant[$number]) ? $mutant[$number]->plus($chance->times($half)) : $chance->times($half);
                }
            }
            $this->young[$key] = array_filter($mutant, fn (int $number): bool => ! $this->isLethal($number), ARRAY_FILTER_USE_KEY);
        }

        return $this->young[$key];
    }

    public function isLethal(int $number): bool
    {
        return $this->law->isLethal($this->states[$number]);
    }

    public function sexOf(int $number): ?Sex
    {
        foreach ($this->groups as $group) {
            if ($group->holdsSex()) {
                return Sex::ofAlleles($this->states[$number][$group->key]->pairAt($group->indexOf(Sex::LOCUS)));
            }
        }

        return null;
    }

    /** @return list<Mask> what this genotype is hidden by, or hides by itself */
    public function masksOf(int $number): array
    {
        if (! isset($this->masks[$number])) {
            $found = [];
            foreach ($this->groups as $group) {
                foreach ($group->loci as $i => $locus) {
                    $pair = $this->states[$number][$group->key]->pairAt($i);
                    foreach ($locus === Sex::LOCUS ? [] : $this->catalogue->masksAt($locus) as $mask) {
                        if ($mask->hides !== Concealment::Part && $mask->form->fits(static fn (string $allele): int => ($pair[0] === $allele ? 1 : 0) + ($pair[1] === $allele ? 1 : 0))) {
                            $found[] = $mask;
                        }
                    }
                }
            }
            $this->masks[$number] = $found;
        }

        return $this->masks[$number];
    }

    /** Whether a form of some locus here can hide others. */
    public function canHide(): bool
    {
        foreach ($this->loci() as $locus) {
            foreach ($this->catalogue->masksAt($locus) as $mask) {
                if ($mask->hides !== Concealment::Part) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Whether a genotype can have been seen to meet a condition: what does not show is accepted where a form hides it.
     *
     * @param list<Mask> $hiding what else the animal has that hides; its own masks here count as well
     */
    public function accepts(int $number, Target $saw, array $hiding = []): bool
    {
        $id = spl_object_id($saw);
        $this->seen[$id] ??= [$saw, []]; // the condition is kept with its answers, so that its number is not used again
        $key = $number.self::maskKey($hiding);

        return $this->seen[$id][1][$key] ??= $this->meets($this->states[$number], $saw, [...$this->masksOf($number), ...$hiding]);
    }

    /** @param list<Mask> $masks */
    public static function maskKey(array $masks): string
    {
        $keys = array_map(static fn (Mask $mask): string => $mask->locus.'='.implode(',', array_keys($mask->form->copies)), $masks);
        sort($keys);

        return $keys === [] ? '' : ' '.implode(' ', array_unique($keys));
    }

    /**
     * Whether what shows at a locus is out of sight.
     *
     * @param State $state
     * @param list<Mask> $masks
     */
    public function isHidden(array $state, LinkageGroup $group, int $i, array $masks): bool
    {
        $locus = $group->loci[$i];
        $form = $this->catalogue->form($locus, ...$state[$group->key]->pairAt($i));
        foreach ($masks as $mask) {
            if ($mask->locus !== $locus && array_filter($form->shows, fn (string $allele): bool => ! $mask->conceals($this->catalogue->allele($allele), $form->copiesOf($allele))) === []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param State $state
     * @param list<Mask> $masks
     */
    private function meets(array $state, Target $saw, array $masks): bool
    {
        foreach ($this->groups as $group) {
            foreach ($group->loci as $i => $locus) {
                $pair = $state[$group->key]->pairAt($i);
                if ($locus === Sex::LOCUS) {
                    if (! $saw->acceptsSex(Sex::ofAlleles($pair))) {
                        return false;
                    }
                } elseif (! $saw->accepts($this->catalogue->form($locus, ...$pair), $masks !== [] && $this->isHidden($state, $group, $i, $masks))) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param array<string, array{State, Rational}> $young
     * @return array<int, Rational>
     */
    private function numbered(array $young): array
    {
        $numbered = [];
        foreach ($young as [$state, $chance]) {
            $numbered[$this->number($state)] = $chance;
        }

        return $numbered;
    }

    /**
     * @param list<array{array<string, list<string>>, Rational}> $gametes
     * @param list<string> $alleles
     * @return list<array{array<string, list<string>>, Rational}> with one of the alleles in its place, whatever stood there
     */
    private function mutated(array $gametes, array $alleles): array
    {
        $mutated = [];
        foreach ($gametes as [$haplotypes, $chance]) {
            foreach ($alleles as $allele) {
                $locus = $this->catalogue->allele($allele)->locus;
                $with = $haplotypes;
                foreach ($this->groups as $group) {
                    $at = array_search($locus, $group->loci, true);
                    if ($at !== false) {
                        $strand = $haplotypes[$group->key];
                        $strand[$at] = $allele;
                        $with[$group->key] = array_values($strand);
                    }
                }
                $mutated[] = [$with, $chance->dividedBy(Rational::of(count($alleles)))];
            }
        }

        return $mutated;
    }
}
