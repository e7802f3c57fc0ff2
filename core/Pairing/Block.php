<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Expression;
use Destino\Genome\LinkageGroup;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * Linkage groups of a cross that must be looked at together, independent of all other blocks. Mostly one group; more
 * where what is believed of a parent ties groups to each other.
 */
final class Block
{
    /** @var array<string, list<BlockOutcome>> worked out once, whoever asks */
    private array $outcomes = [];

    /**
     * @param list<LinkageGroup> $groups
     * @param list<array{Rational, array<string, Distribution<Expression>>}> $cases P(parents' genotypes here), and what they give by group
     */
    public function __construct(public readonly array $groups, public readonly array $cases) {}

    /** @return list<string> all loci of its groups */
    public function loci(): array
    {
        return array_merge([], ...array_map(static fn (LinkageGroup $group): array => $group->loci, $this->groups));
    }

    public function holdsSex(): bool
    {
        foreach ($this->groups as $group) {
            if ($group->holdsSex()) {
                return true;
            }
        }

        return false;
    }

    /**
     * For each case of the parents: P(case), P(egg leaves so much open | case) by what it leaves, P(egg lives | case). What an egg's
     * groups leave is joined by "&", as PHP joins texts.
     *
     * @param callable(Expression): ?string $leaves null where an egg is refused
     * @return list<array{Rational, array<string, Rational>, Rational}>
     */
    public function chances(callable $leaves): array
    {
        $chances = [];
        foreach ($this->cases as [$weight, $byGroup]) {
            $left = null;
            $lives = Rational::one();
            foreach ($byGroup as $offspring) {
                $own = [];
                $groupLives = Rational::zero();
                foreach ($offspring->entries() as [$state, $p]) {
                    $key = $leaves($state);
                    if ($key !== null) {
                        $own[$key] = isset($own[$key]) ? $own[$key]->plus($p) : $p;
                    }
                    $groupLives = $state->isLethal ? $groupLives : $groupLives->plus($p);
                }
                $left = $left === null ? $own : self::joined($left, $own);
                $lives = $lives->times($groupLives);
            }
            $chances[] = [$weight, $left ?? [], $lives];
        }

        return $chances;
    }

    /**
     * @param array<string, Rational> $one by what is left open
     * @param array<string, Rational> $other independent of it
     * @param (callable(string): string)|null $settle what may be taken for the same
     * @return array<string, Rational>
     */
    public static function joined(array $one, array $other, ?callable $settle = null): array
    {
        $both = [];
        foreach ($one as $left => $p) {
            foreach ($other as $also => $q) {
                $key = $settle === null ? $left & $also : $settle($left & $also);
                $both[$key] = isset($both[$key]) ? $both[$key]->plus($p->times($q)) : $p->times($q);
            }
        }

        return $both;
    }

    /**
     * P(outcome of an egg), parents averaged.
     *
     * @param bool $phased keep genotypes apart that differ in phase only
     * @param bool $hatched given that the egg does not die of its form
     * @return list<BlockOutcome> in printer's order; empty where nothing hatches
     */
    public function outcomes(bool $phased = false, bool $hatched = false): array
    {
        return $this->outcomes[($phased ? 'phased' : '').($hatched ? ' hatched' : '')] ??= $this->worked($phased, $hatched);
    }

    /** @return list<BlockOutcome> */
    private function worked(bool $phased, bool $hatched): array
    {
        /** @var array<string, array{EggStates, Rational, list<EggStates>}> $merged */
        $merged = [];
        foreach ($this->cases as [$weight, $byGroup]) {
            foreach ($this->product($byGroup) as [$states, $p]) {
                $egg = new EggStates($states);
                $key = $egg->key($phased);
                $before = $merged[$key] ?? null;
                $merged[$key] = [
                    $egg, $before === null ? $weight->times($p) : $before[1]->plus($weight->times($p)), [...$before[2] ?? [], $egg],
                ];
            }
        }
        if ($hatched) {
            $merged = array_filter($merged, static fn (array $entry): bool => ! $entry[0]->isLethal());
        }
        $total = Weights::sum(array_map(static fn (array $entry): Rational => $entry[1], $merged));
        $entries = array_values($merged);
        usort($entries, static fn (array $a, array $b): int => $a[0]->order() <=> $b[0]->order());

        return array_map(fn (array $entry, int $rank): BlockOutcome => new BlockOutcome(
            $entry[0]->forms(), $entry[0]->sex(), $entry[1]->dividedBy($total), $entry[0]->isLethal(), EggStates::makers($entry[2]),
            $phased ? $entry[0]->phase($this->groups) : [], $rank,
        ), $entries, array_keys($entries));
    }

    /**
     * @param array<string, Distribution<Expression>> $byGroup
     * @return list<array{list<Expression>, Rational}>
     */
    private function product(array $byGroup): array
    {
        $product = [[[], Rational::one()]];
        foreach ($byGroup as $offspring) {
            $longer = [];
            foreach ($product as [$states, $p]) {
                foreach ($offspring->entries() as [$state, $q]) {
                    $longer[] = [[...$states, $state], $p->times($q)];
                }
            }
            $product = $longer;
        }

        return $product;
    }
}
