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
     * The outcomes from the most likely down, ties in printer's order. Each step costs the number of blocks times the
     * logarithm of the steps so far; nothing is built ahead.
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
                $this->push($heap, $r, array_fill(0, count($region), 0), 0);
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
                if (isset($this->regions[$node->region][$block][$node->indices[$block] + 1])) {
                    $next = $node->indices;
                    $next[$block]++;
                    $this->push($heap, $node->region, array_values($next), $block);
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

    /** @param list<int> $indices */
    private function push(OutcomeHeap $heap, int $region, array $indices, int $moved): void
    {
        $probability = Rational::one();
        $ranks = [];
        foreach ($this->regions[$region] as $block => $items) {
            $item = $items[$indices[$block]];
            $probability = $probability->times($item->probability);
            $ranks[] = $item->rank();
        }
        $heap->insert(new OutcomeNode($probability, $ranks, $indices, $moved, $region));
    }
}
