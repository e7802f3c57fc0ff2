<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Allele;
use Destino\Genome\Expression;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
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
     * For each case of the parents: P(case), P(egg is accepted | case), P(egg lives | case).
     *
     * @param callable(Expression): bool $accepts
     * @return list<array{Rational, Rational, Rational}>
     */
    public function chances(callable $accepts): array
    {
        $chances = [];
        foreach ($this->cases as [$weight, $byGroup]) {
            $hit = $lives = Rational::one();
            foreach ($byGroup as $offspring) {
                $groupHit = $groupLives = Rational::zero();
                foreach ($offspring->entries() as [$state, $p]) {
                    $groupHit = $accepts($state) ? $groupHit->plus($p) : $groupHit;
                    $groupLives = $state->isLethal ? $groupLives : $groupLives->plus($p);
                }
                $hit = $hit->times($groupHit);
                $lives = $lives->times($groupLives);
            }
            $chances[] = [$weight, $hit, $lives];
        }

        return $chances;
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
        /** @var array<string, array{list<Expression>, Rational, list<list<Expression>>}> $merged */
        $merged = [];
        foreach ($this->cases as [$weight, $byGroup]) {
            foreach ($this->product($byGroup) as [$states, $p]) {
                $key = implode(
                    '|',
                    array_map(
                        static fn (Expression $state): string => $phased ? $state->diplotype->key : $state->diplotype->unphasedKey,
                        $states,
                    ),
                );
                $before = $merged[$key] ?? null;
                $merged[$key] = [
                    $states, $before === null ? $weight->times($p) : $before[1]->plus($weight->times($p)),
                    [...$before[2] ?? [], $states],
                ];
            }
        }
        if ($hatched) {
            $merged = array_filter($merged, static fn (array $entry): bool => ! self::isLethal($entry[0]));
        }
        $total = Weights::sum(array_map(static fn (array $entry): Rational => $entry[1], $merged));
        $entries = array_values($merged);
        usort($entries, static fn (array $a, array $b): int => self::order($a[0]) <=> self::order($b[0]));

        return array_map(fn (array $entry, int $rank): BlockOutcome => new BlockOutcome(
            array_merge(...array_map(static fn (Expression $state): array => $state->forms, $entry[0])),
            $this->sexOf($entry[0]),
            $entry[1]->dividedBy($total),
            self::isLethal($entry[0]),
            self::makers($entry[2]),
            $phased ? $this->phase($entry[0]) : [],
            $rank,
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

    /** @param list<Expression> $states */
    private static function isLethal(array $states): bool
    {
        foreach ($states as $state) {
            if ($state->isLethal) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Expression> $states */
    private function sexOf(array $states): ?Sex
    {
        foreach ($states as $state) {
            if ($state->sex !== null) {
                return $state->sex;
            }
        }

        return null;
    }

    /**
     * @param list<Expression> $states
     * @return list<int|string> sorts in printer's order, males first
     */
    private static function order(array $states): array
    {
        $order = [];
        foreach ($states as $state) {
            foreach ($state->forms as $form) {
                $order[] = $form->order;
            }
        }
        foreach ($states as $state) {
            $order[] = $state->sex === Sex::Female ? 1 : 0;
            $order[] = $state->diplotype->key;
        }

        return $order;
    }

    /**
     * @param list<list<Expression>> $members
     * @return array<string, Sex|null>
     */
    private static function makers(array $members): array
    {
        $makers = [];
        foreach ($members as $states) {
            foreach ($states as $state) {
                foreach ($state->makers as $locus => $maker) {
                    $makers[$locus] = array_key_exists($locus, $makers) && $makers[$locus] !== $maker ? null : $maker;
                }
            }
        }

        return $makers;
    }

    /**
     * @param list<Expression> $states
     * @return array<string, string> the chromosomes that carry the gene, by locus; the coupling, by group
     */
    private function phase(array $states): array
    {
        $phase = [];
        foreach ($states as $i => $state) {
            $group = $this->groups[$i];
            if (count($group->loci) === 1) {
                continue;
            }
            if (! $group->holdsSex()) {
                $phase[$group->key] = implode(
                    '/',
                    array_map(static fn (array $haplotype): string => implode('·', $haplotype), $state->diplotype->haplotypes),
                );

                continue;
            }
            $sex = $group->indexOf(Sex::LOCUS);
            foreach ($state->forms as $locus => $form) {
                $at = $group->indexOf($locus);
                $carriers = array_map(
                    static fn (array $haplotype): string => $haplotype[$sex],
                    array_filter($state->diplotype->haplotypes, static fn (array $haplotype): bool => $haplotype[$at] !== Allele::WILD),
                );
                if (! $form->isWild()) {
                    $phase[$locus] = implode(' and ', $carriers);
                }
            }
        }

        return $phase;
    }
}
