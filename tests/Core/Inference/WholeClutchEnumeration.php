<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Diplotype;
use Destino\Genome\Form;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Tests\Support\Shelf;

/**
 * A clutch over several loci at once, by trying every combination of the parents' genotypes and every sire: nothing is taken
 * apart, so that it shows whether what the engine ties together is tied rightly.
 *
 * @phpstan-type State array<string, Diplotype>
 */
final class WholeClutchEnumeration
{
    public const LETHAL_DEAD = .9;

    public float $total = 0.0;

    /** @var array<string, array<string, array<string, float>>> weight by parent, group and diplotype */
    public array $parents = [];

    /** @var array<int, float> weight by sire */
    public array $sires = [];

    /** @var list<LinkageGroup> */
    private array $groups;

    /** @var array<string, array<string, Form>> by group and diplotype */
    private array $forms = [];

    /**
     * @param list<string> $loci
     * @param list<string> $sires what each possible sire is said to carry
     * @param list<Target> $animals looks of young that were kept
     * @param list<array{Target, int, bool}> $counts look, number, found dead
     */
    public function __construct(array $loci, array $sires, string $dam, private readonly array $animals, private readonly array $counts)
    {
        $this->groups = array_map(static fn (string $locus): LinkageGroup => Shelf::catalogue()->groupOf($locus), $loci);
        $dams = Shelf::belief($dam, Sex::Female)->statesOver($this->groups);
        $males = array_map(fn (string $sire): array => Shelf::belief($sire, Sex::Male)->statesOver($this->groups), $sires);
        foreach ($males as $i => $states) {
            foreach ($states as [$own, $p]) {
                foreach ($dams as [$maternal, $q]) {
                    $weight = $p->times($q)->toFloat() / count($sires) * $this->evidence($own->diplotypes, $maternal->diplotypes);
                    $this->total += $weight;
                    $this->sires[$i] = ($this->sires[$i] ?? 0.0) + $weight;
                    $this->note('D', $maternal->diplotypes, $weight);
                    foreach ($males as $j => $others) { // who is not the sire stays as he was believed to be
                        foreach ($j === $i ? [[$own, $p]] : $others as [$other, $r]) {
                            $this->note("S{$j}", $other->diplotypes, $j === $i ? $weight : $weight * $r->toFloat());
                        }
                    }
                }
            }
        }
    }

    /** @param State $state */
    private function note(string $who, array $state, float $weight): void
    {
        foreach ($state as $group => $diplotype) {
            $this->parents[$who][$group][$diplotype->key] = ($this->parents[$who][$group][$diplotype->key] ?? 0.0) + $weight;
        }
    }

    /**
     * @param State $sire
     * @param State $dam
     */
    private function evidence(array $sire, array $dam): float
    {
        $eggs = $this->eggs($sire, $dam);
        $alive = array_sum(array_map(fn (array $egg): float => $this->dies($egg[0]) ? 0.0 : $egg[1], $eggs));
        $living = fn (Target $saw): float => array_sum(
            array_map(fn (array $egg): float => ! $this->dies($egg[0]) && $this->looks($egg[0], $saw) ? $egg[1] : 0.0, $eggs),
        ) / $alive;
        $evidence = 1.0;
        foreach ($this->animals as $saw) {
            $evidence *= $living($saw);
        }
        foreach ($this->counts as [$saw, $count, $isDead]) {
            $all = array_sum(array_map(fn (array $egg): float => $this->looks($egg[0], $saw) ? $egg[1] : 0.0, $eggs));
            $dying = array_sum(
                array_map(fn (array $egg): float => $this->dies($egg[0]) && $this->looks($egg[0], $saw) ? $egg[1] : 0.0, $eggs),
            );
            $evidence *= ($isDead ? self::LETHAL_DEAD * $dying + (1 - self::LETHAL_DEAD) * $all : $living($saw)) ** $count;
        }

        return $evidence;
    }

    /**
     * @param State $sire
     * @param State $dam
     * @return list<array{State, float}>
     */
    private function eggs(array $sire, array $dam): array
    {
        $eggs = ['' => [[], 1.0]];
        foreach ($this->groups as $group) {
            $longer = [];
            foreach ($eggs as $before => [$egg, $p]) {
                foreach ($sire[$group->key]->haplotypes as $left) {
                    foreach ($dam[$group->key]->haplotypes as $right) {
                        $own = new Diplotype($left, $right);
                        $alike = $longer["{$before} {$own->key}"][1] ?? 0.0;
                        $longer["{$before} {$own->key}"] = [$egg + [$group->key => $own], $alike + $p / 4];
                    }
                }
            }
            $eggs = $longer;
        }

        return array_values($eggs);
    }

    /** @param State $egg */
    private function dies(array $egg): bool
    {
        foreach ($this->groups as $group) {
            if ($this->form($group, $egg[$group->key])->isLethal()) {
                return true;
            }
        }

        return false;
    }

    /** @param State $egg */
    private function looks(array $egg, Target $saw): bool
    {
        $isWhite = isset($egg['bel']) && $egg['bel']->key === 'mojave~mojave';
        foreach ($this->groups as $group) {
            if (! $saw->accepts($this->form($group, $egg[$group->key]), $isWhite && $group->key !== 'bel')) {
                return false;
            }
        }

        return true;
    }

    private function form(LinkageGroup $group, Diplotype $diplotype): Form
    {
        return $this->forms[$group->key][$diplotype->key] ??= Shelf::catalogue()->form($group->loci[0] ?? '', ...$diplotype->pairAt(0));
    }
}
