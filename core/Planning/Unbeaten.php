<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Planning\Play\Outcome;
use Destino\Planning\Search\Route;

/** Of routes that were played, those that no other beats in every respect. */
final class Unbeaten
{
    /**
     * @param list<array{Route, Outcome}> $played
     * @return list<array{Route, Outcome}>
     */
    public static function of(array $played): array
    {
        $standing = array_map(
            static fn (array $pair): array => [
                -$pair[1]->by($pair[1]->horizon), -array_sum(array_map($pair[1]->by(...), range(0, $pair[1]->horizon))),
                $pair[1]->money() + $pair[0]->cost(), $pair[1]->kept, $pair[0]->inbreeding->toFloat(),
            ],
            $played,
        );
        $kept = [];
        foreach ($played as $i => $pair) {
            foreach ($standing as $j => $other) {
                if ($j !== $i && self::beats($other, $standing[$i])) {
                    continue 2;
                }
            }
            $kept[] = $pair;
        }

        return $kept;
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function beats(array $a, array $b): bool
    {
        $isBetter = false;
        foreach ($a as $i => $value) {
            if ($value > $b[$i] + .02 * abs($b[$i])) {
                return false;
            }
            $isBetter = $isBetter || $value < $b[$i] - .02 * abs($b[$i]) - 1e-9;
        }

        return $isBetter;
    }
}
