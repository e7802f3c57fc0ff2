<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Expression;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Destino\Notation\TargetChoice;

/**
 * The choices of a plan's target ("at least two of Pastel, Enchi, Fire") as sets of options in bits: each linkage group leaves some of
 * them open, and an animal meets the choices where enough are left by all groups together.
 */
final class Choices
{
    /** As many as there is room for in a number; plans with a dozen take their time. */
    public const MOST = 40;

    /** No option ruled out. */
    public readonly int $all;

    /** @var array<int, bool> by the set of options that are left */
    private array $suffices = [];

    /** @var array{male: int, female: int} the options that an animal of a sex can meet */
    private array $leftTo;

    /** @var list<Target> the options of all choices in order; option i is bit i */
    public readonly array $options;

    public function __construct(private readonly Target $target)
    {
        $this->options = array_merge([], ...array_map(static fn (TargetChoice $choice): array => $choice->options, $target->choices));
        $this->all = (1 << count($this->options)) - 1;
        $leftTo = ['male' => 0, 'female' => 0];
        foreach ($this->options as $i => $option) {
            $leftTo['male'] |= $option->acceptsSex(Sex::Male) ? 1 << $i : 0;
            $leftTo['female'] |= $option->acceptsSex(Sex::Female) ? 1 << $i : 0;
        }
        $this->leftTo = $leftTo;
    }

    public function isAny(): bool
    {
        return $this->target->choices !== [];
    }

    /** The options that an animal with this expression of a group can still meet. */
    public function leftBy(Expression $expression): int
    {
        return (int) bindec(strrev(substr($this->target->optionsLeft($expression->forms, $expression->sex), 1)));
    }

    /** The options that an animal of this sex can meet. */
    public function leftTo(Sex $sex): int
    {
        return $this->leftTo[$sex->value];
    }

    /** Whether enough options of each choice are left. */
    public function suffices(int $left): bool
    {
        if (! isset($this->suffices[$left])) {
            $letters = 'x';
            foreach (array_keys($this->options) as $i) {
                $letters .= ($left >> $i & 1) === 1 ? '1' : '0';
            }
            $this->suffices[$left] = $this->target->suffices($letters);
        }

        return $this->suffices[$left];
    }

    /** Whether enough are left whatever the sex, or of one sex. */
    public function sufficesFor(int $left, ?Sex $sex): bool
    {
        return $sex === null
            ? $this->suffices($left & $this->leftTo(Sex::Male)) && $this->suffices($left & $this->leftTo(Sex::Female))
            : $this->suffices($left & $this->leftTo($sex));
    }

    /** @return list<int> options that ask something of a group */
    public function optionsAt(LinkageGroup $group): array
    {
        return array_keys(array_filter(
            $this->options, static fn (Target $option): bool => array_intersect($option->loci(), $group->loci) !== [],
        ));
    }

    /**
     * P(enough options of each choice hold), were each to hold by itself with its chance.
     *
     * @param array<int, float> $chances by option
     */
    public function independently(array $chances): float
    {
        $product = 1.0;
        $at = 0;
        foreach ($this->target->choices as $choice) {
            $counts = [1.0]; // P(so many of those looked at hold)
            foreach ($choice->options as $option) {
                $next = array_fill(0, count($counts) + 1, 0.0);
                foreach ($counts as $count => $p) {
                    $next[$count] += $p * (1 - $chances[$at]);
                    $next[$count + 1] += $p * $chances[$at];
                }
                $counts = $next;
                $at++;
            }
            $product *= array_sum(array_slice($counts, $choice->atLeast));
        }

        return $product;
    }
}
