<?php

declare(strict_types=1);

namespace Destino\Money;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Pairing\Cross;
use Destino\Pairing\TargetOdds;
use Destino\Probability\Rational;

/**
 * A keeper's prices by trait and sex. An animal goes for the dearest entry that it surely meets: what is only possible is told
 * to the buyer, and does not raise the price.
 */
final readonly class PriceBook
{
    /** @var list<PriceEntry> the dearest first */
    public array $entries;

    public function __construct(PriceEntry ...$entries)
    {
        usort($entries, fn (PriceEntry $a, PriceEntry $b): int => [$b->middle(), $b->high] <=> [$a->middle(), $a->high]);
        $this->entries = $entries;
    }

    /**
     * What an animal goes for; null where no entry speaks of it.
     *
     * @param Sex|null $sex null where it is not known: then an entry that asks for a sex is not surely met
     */
    public function priceOf(Belief $belief, ?Sex $sex, Catalogue $catalogue): ?PriceEntry
    {
        foreach ($this->entries as $entry) {
            $fits = $sex === null ? ! $entry->target->asksSex() : $entry->target->acceptsSex($sex);
            if ($fits && $entry->target->withSex($belief->sex)->chanceFor($belief, $catalogue)->isOne()) {
                return $entry;
            }
        }

        return null;
    }

    /**
     * What the eggs of a cross go for. An egg of a lethal form goes for nothing, as one that no entry speaks of.
     *
     * @return list<array{PriceEntry|null, Rational}> each entry that an egg can come to with its chance, the dearest first; null: nothing
     */
    public function classesOf(Cross $cross): array
    {
        $classes = $dearer = [];
        $all = Rational::zero();
        foreach ($this->entries as $entry) {
            if (! TargetOdds::isWithin($cross, $entry->target) || self::together($cross, [$entry])->isZero()) {
                continue;
            }
            $chance = self::butNone($cross, [$entry], $dearer);
            $dearer[] = $entry;
            if (! $chance->isZero()) {
                $classes[] = [$entry, $chance];
                $all = $all->plus($chance);
            }
        }

        return $all->isOne() ? $classes : [...$classes, [null, Rational::one()->minus($all)]];
    }

    /**
     * P(an egg meets all of the first and none of the second), by inclusion and exclusion; what cannot be met together is not
     * followed further.
     *
     * @param non-empty-list<PriceEntry> $met
     * @param list<PriceEntry> $not
     */
    private static function butNone(Cross $cross, array $met, array $not): Rational
    {
        $chance = self::together($cross, $met);
        foreach ($not as $i => $entry) {
            if ($chance->isZero()) {
                break;
            }
            $chance = $chance->minus(self::butNone($cross, [...$met, $entry], array_slice($not, 0, $i)));
        }

        return $chance;
    }

    /**
     * P(an egg meets all of them and lives).
     *
     * @param non-empty-list<PriceEntry> $entries
     */
    private static function together(Cross $cross, array $entries): Rational
    {
        $all = $entries[0]->target;
        foreach (array_slice($entries, 1) as $entry) {
            $asked = $entry->target;
            if ($all->sex !== null && $asked->sex !== null && $all->sex !== $asked->sex) {
                return Rational::zero();
            }
            $all = $all->both($asked);
        }

        return TargetOdds::of($cross, $all)->chance->perEgg();
    }
}
