<?php

declare(strict_types=1);

namespace Destino\Inference\Inheritance;

use Destino\Genome\Catalogue;
use Destino\Genome\Expressions;
use Destino\Genome\Form;
use Destino\Genome\Gamete;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Genome\Visibility;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/**
 * The genotypes over some linkage groups, each met once and numbered, with how they are inherited, what is seen of them and
 * what they hide.
 */
final class GenotypeSpace
{
    public readonly string $key;

    public readonly YoungLaw $law;

    private readonly Expressions $expressions;

    private readonly Visibility $visibility;

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
        $this->expressions = $this->law->expressions;
        $this->visibility = new Visibility($catalogue);
    }

    /** @return list<string> keys of the groups */
    public function groupKeys(): array
    {
        return array_map(static fn (LinkageGroup $group): string => $group->key, $this->groups);
    }

    /** @return list<string> its loci, that of the sex left out */
    public function loci(): array
    {
        return array_values(
            array_diff(array_merge(...array_map(static fn (LinkageGroup $group): array => $group->loci, $this->groups)), [Sex::LOCUS]),
        );
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

    public function number(State $state): int
    {
        if (! isset($this->numbers[$state->key])) {
            $this->numbers[$state->key] = count($this->states);
            $this->states[] = $state;
        }

        return $this->numbers[$state->key];
    }

    public function state(int $number): State
    {
        return $this->states[$number];
    }

    public function keyOf(int $number): string
    {
        return $this->states[$number]->key;
    }

    public function wild(Sex $sex): int
    {
        return $this->number(State::wild($this->groups, $sex));
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
            $meiosis = $this->law->meiosis;
            $paternal = $meiosis->gametes($this->groups, $this->states[$sire])->entries();
            $maternal = $meiosis->gametes($this->groups, $this->states[$dam])->entries();
            $mutant = $meiosis->joined($this->mutated($paternal, $alleles), $maternal);
            $mutant->merge($meiosis->joined($paternal, $this->mutated($maternal, $alleles)));
            $this->young[$key] = [];
            foreach ($mutant->entries() as [$state, $chance]) {
                if (! $this->expressions->isLethal($state)) {
                    $this->young[$key][$this->number($state)] = $chance->dividedBy(Rational::of(2));
                }
            }
        }

        return $this->young[$key];
    }

    public function isLethal(int $number): bool
    {
        return $this->expressions->isLethal($this->states[$number]);
    }

    public function sexOf(int $number): ?Sex
    {
        return $this->expressions->sexOf($this->states[$number]);
    }

    /** @return array<string, Form> its forms by locus */
    public function formsOf(int $number): array
    {
        $forms = [];
        foreach ($this->expressions->ofState($this->states[$number]) as $expression) {
            $forms += $expression->forms;
        }

        return $forms;
    }

    /** @return list<Mask> what this genotype is hidden by, or hides by itself */
    public function masksOf(int $number): array
    {
        if (! isset($this->masks[$number])) {
            $this->masks[$number] = [];
            foreach ($this->expressions->ofState($this->states[$number]) as $expression) {
                array_push($this->masks[$number], ...$this->visibility->masks($expression->forms));
            }
        }

        return $this->masks[$number];
    }

    /** Whether a form of some locus here can hide others. */
    public function canHide(): bool
    {
        foreach ($this->loci() as $locus) {
            if ($this->visibility->canHide($locus)) {
                return true;
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
     * Whether what shows of a form is out of sight.
     *
     * @param list<Mask> $masks
     */
    public function isHidden(Form $form, array $masks): bool
    {
        return $this->visibility->isHidden($form, $masks);
    }

    /** @param list<Mask> $masks */
    private function meets(State $state, Target $saw, array $masks): bool
    {
        foreach ($this->expressions->ofState($state) as $expression) {
            if ($masks === []) {
                if (! $expression->meets($saw)) {
                    return false;
                }

                continue;
            }
            foreach ($expression->forms as $form) {
                if (! $saw->accepts($form, $this->isHidden($form, $masks))) {
                    return false;
                }
            }
            if ($expression->sex !== null && ! $saw->acceptsSex($expression->sex)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<array-key, array{State, Rational}> $young
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
     * @param array<array-key, array{Gamete, Rational}> $gametes
     * @param list<string> $alleles
     * @return list<array{Gamete, Rational}> with one of the alleles in its place, whatever stood there
     */
    private function mutated(array $gametes, array $alleles): array
    {
        $mutated = [];
        foreach ($gametes as [$gamete, $chance]) {
            foreach ($alleles as $key) {
                $allele = $this->catalogue->allele($key);
                $mutated[] = [
                    $gamete->with($allele, $this->catalogue->groupOf($allele->locus)),
                    $chance->dividedBy(Rational::of(count($alleles))),
                ];
            }
        }

        return $mutated;
    }
}
