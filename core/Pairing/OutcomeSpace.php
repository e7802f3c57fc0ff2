<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Brick\Math\BigInteger;
use Destino\Probability\Rational;
use Destino\Probability\Weights;
use Generator;

/**
 * All outcomes of a cross without listing them: regions, each the product of independent choices, one per block.
 *
 * By genotype there is one region. By look there is one for each way in which forms hide other genes, since what can
 * be seen of the other blocks depends on it.
 */
final readonly class OutcomeSpace
{
    /** @var list<list<list<SpaceItem>>> regions; in each, the items of each block, most likely first, ties in printer's order */
    private array $regions;

    /** @var list<list<list<Rational>>> how much less likely each item is than the one before it; of the first, its probability */
    private array $steps;

    /** @param list<list<list<SpaceItem>>> $regions */
    public function __construct(array $regions, private OutcomeDescriber $describer)
    {
        $this->regions = array_map(static fn (array $region): array => array_map(static function (array $items): array {
            usort($items, static function (SpaceItem $a, SpaceItem $b): int {
                $byProbability = $b->probability->compareTo($a->probability);

                return $byProbability !== 0 ? $byProbability : $a->rank() <=> $b->rank();
            });

            return $items;
        }, $region), $regions);
        $this->steps = array_map(static fn (array $region): array => array_map(self::stepsOf(...), $region), $this->regions);
    }

    /**
     * @param list<SpaceItem> $items
     * @return list<Rational>
     */
    private static function stepsOf(array $items): array
    {
        $steps = [];
        foreach ($items as $i => $item) {
            $steps[] = $i === 0 ? $item->probability : $item->probability->dividedBy($items[$i - 1]->probability);
        }

        return $steps;
    }

    /** The true number of outcomes, however few are listed. */
    public function total(): BigInteger
    {
        $total = BigInteger::zero();
        foreach ($this->regions as $region) {
            $total = $total->plus(
                array_reduce(
                    $region, static fn (BigInteger $product, array $items): BigInteger => $product->multipliedBy(count($items)),
                    BigInteger::one(),
                ),
            );
        }

        return $total;
    }

    /**
     * How many outcomes of eggs that live are as likely as the most likely of them. A product is at its highest only where each of its
     * factors is, so that none has to be listed for it.
     */
    public function likeliest(): BigInteger
    {
        [$most, $count] = [Rational::zero(), BigInteger::zero()];
        foreach ($this->regions as $region) {
            [$product, $ties] = [Rational::one(), BigInteger::one()];
            foreach ($region as $items) {
                $living = array_filter($items, static fn (SpaceItem $item): bool => ! $item->members[0]->isLethal);
                $best = Rational::zero();
                foreach ($living as $item) {
                    $best = $item->probability->compareTo($best) > 0 ? $item->probability : $best;
                }
                $product = $product->times($best);
                $equal = array_filter($living, static fn (SpaceItem $item): bool => $item->probability->equals($best));
                $ties = $ties->multipliedBy(count($equal));
            }
            $order = $product->compareTo($most);
            if ($order >= 0 && ! $product->isZero()) {
                [$most, $count] = [$product, $order === 0 ? $count->plus($ties) : $ties];
            }
        }

        return $count;
    }

    /**
     * The outcomes from the most likely down, ties in printer's order. Each step costs the number of blocks times the
     * logarithm of the steps so far; nothing is built ahead, and of a product only the factor that moved is multiplied anew.
     *
     * Every combination but the first of a region has one predecessor (one step back in the last block that moved),
     * and the predecessor never comes later in the order, so the heap always holds the next one.
     *
     * @return Generator<int, Outcome>
     */
    public function walk(): Generator
    {
        $heap = new OutcomeHeap;
        foreach ($this->regions as $r => $region) {
            if (! in_array([], $region, true)) {
                $heap->insert($this->first($r));
            }
        }
        while (! $heap->isEmpty()) {
            $node = $heap->extract();
            $items = [];
            foreach ($this->regions[$node->region] as $block => $choices) {
                $items[] = $choices[$node->indices[$block]];
            }
            yield $this->describer->describe($items, $node->probability);
            for ($block = $node->moved; $block < count($node->indices); $block++) {
                $next = $this->regions[$node->region][$block][$node->indices[$block] + 1] ?? null;
                if ($next !== null) {
                    $step = $this->steps[$node->region][$block][$node->indices[$block] + 1];
                    $heap->insert($node->raised($block, $node->probability->times($step), $next->rank()));
                }
            }
        }
    }

    /** @return list<Outcome> the most likely ones */
    public function top(int $most): array
    {
        $outcomes = [];
        foreach ($this->walk() as $outcome) {
            if (count($outcomes) >= $most) {
                break;
            }
            $outcomes[] = $outcome;
        }

        return $outcomes;
    }

    /** P(an outcome holds one genotype only): what is seen then tells all. */
    public function chanceOfOneGenotype(): Rational
    {
        $sum = Rational::zero();
        foreach ($this->regions as $region) {
            $product = Rational::one();
            foreach ($region as $items) {
                $single = array_filter($items, static fn (SpaceItem $item): bool => count($item->members) === 1);
                $product = $product->times(Weights::sum(array_map(static fn (SpaceItem $item): Rational => $item->probability, $single)));
            }
            $sum = $sum->plus($product);
        }

        return $sum;
    }

    /** The likeliest outcome of a region. */
    private function first(int $region): OutcomeNode
    {
        $probability = Rational::one();
        $ranks = '';
        foreach ($this->regions[$region] as $items) {
            $probability = $probability->times($items[0]->probability);
            $ranks .= pack('N', $items[0]->rank());
        }

        return new OutcomeNode($probability, $ranks, array_fill(0, count($this->regions[$region]), 0), 0, $region);
    }
}
