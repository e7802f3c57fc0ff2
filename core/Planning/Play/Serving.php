<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Planning\Search\RouteStep;

/** Which male goes to which female for a step of a route. */
final readonly class Serving
{
    /**
     * Females that are free and males that can serve them, those first that have not disappointed.
     *
     * @param array<string, list<PlayedAnimal>> $animals
     * @return list<array{PlayedAnimal, PlayedAnimal}>
     */
    public static function pairs(array $animals, RouteStep $step, int $season, int $femalesPerMale): array
    {
        $males = self::able($animals[$step->sire] ?? [], $season);
        $females = $males === [] ? [] : self::able($animals[$step->dam] ?? [], $season);
        $pairs = [];
        $served = array_fill(0, count($males), 0);
        foreach ($females as $female) {
            if ($female->mates > 0) {
                continue;
            }
            $next = null;
            foreach ($males as $i => $male) { // sons that may differ share the females out
                if (
                    $male->mates + $served[$i] < $femalesPerMale
                    && ($next === null || ($step->sires === [] && $served[$i] < $served[$next] && $male->misses <= $males[$next]->misses))
                ) {
                    $next = $i;
                }
            }
            if ($next === null) {
                break;
            }
            $served[$next]++;
            $pairs[] = [$males[$next], $female];
        }

        return $pairs;
    }

    /**
     * @param list<PlayedAnimal> $group
     * @return list<PlayedAnimal> those that have disappointed least first
     */
    private static function able(array $group, int $season): array
    {
        $able = array_values(array_filter($group, static fn (PlayedAnimal $animal): bool => $animal->from <= $season));
        if (count($able) > 1) {
            usort($able, static fn (PlayedAnimal $a, PlayedAnimal $b): int => $a->misses <=> $b->misses);
        }

        return $able;
    }
}
