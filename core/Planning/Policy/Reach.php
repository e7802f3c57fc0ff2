<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** The first season in which a hit can hatch at all, if everything falls out well. */
final class Reach
{
    /** Types of a sex that are followed. */
    private const MOST = 60;

    /**
     * @param list<Holding> $animals
     * @return int|null null where no season is late enough
     */
    public static function of(Law $law, array $animals, int $latest): ?int
    {
        $ready = [[], []];
        foreach ($animals as $animal) {
            $sex = $animal->isMale ? 0 : 1;
            $ready[$sex][$animal->type] = min($ready[$sex][$animal->type] ?? PHP_INT_MAX, $animal->from);
        }
        $first = null;
        do {
            $isNew = false;
            foreach ($ready[0] as $sire => $from) {
                foreach ($ready[1] as $dam => $since) {
                    $season = max($from, $since);
                    $pair = $law->types->pair($sire, $dam);
                    if ($pair->hit > 0.0) {
                        $first = min($first ?? PHP_INT_MAX, $season);
                    }
                    if ($season + $law->shortest <= min($latest, $first ?? $latest)) {
                        $isNew = self::add($law, $pair, $season, $ready) || $isNew;
                    }
                }
            }
        } while ($isNew);

        return $first !== null && $first <= $latest ? $first : null;
    }

    /** @param array{array<int, int>, array<int, int>} $ready first season by type, males and females; added to */
    private static function add(Law $law, Pair $pair, int $season, array &$ready): bool
    {
        $isNew = false;
        foreach (array_keys($pair->children) as $child) {
            $sex = $law->types->isMale($child) ? 0 : 1;
            $from = $season + ($sex === 0 ? $law->maleDelay : $law->femaleDelay);
            $known = $ready[$sex][$child] ?? null;
            if ($known === null ? count($ready[$sex]) < self::MOST : $from < $known) {
                $ready[$sex][$child] = $from;
                $isNew = true;
            }
        }

        return $isNew;
    }
}
