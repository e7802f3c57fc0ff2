<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/**
 * The first season in which a hit can hatch at all, if everything falls out well. Of very many types those that are nearest to the target
 * are followed; that it can never be is said only where all were.
 */
final class Reach
{
    /** Types of a sex that are followed. */
    private const MOST = 60;

    private bool $isCut = false;

    private bool $prefersTheNear = false;

    private readonly BuildUp $nearness;

    private function __construct(private readonly Law $law)
    {
        $this->nearness = new BuildUp($law);
    }

    /**
     * @param list<Holding> $animals
     * @return int|null null where no season is late enough; the latest where it was not found and cannot be excluded
     */
    public static function of(Law $law, array $animals, int $latest): ?int
    {
        $reach = new self($law);
        $first = $reach->first($animals, $latest);
        if ($first === null && $reach->isCut) {
            $reach->prefersTheNear = true;
            $first = $reach->first($animals, $latest) ?? $latest;
        }

        return $first;
    }

    /** @param list<Holding> $animals */
    private function first(array $animals, int $latest): ?int
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
                    $pair = $this->law->types->pair($sire, $dam);
                    if ($pair->hit > 0.0) {
                        $first = min($first ?? PHP_INT_MAX, $season);
                    }
                    if ($season + $this->law->shortest <= min($latest, $first ?? $latest)) {
                        $isNew = $this->add($pair, $season, $ready) || $isNew;
                    }
                }
            }
        } while ($isNew);

        return $first !== null && $first <= $latest ? $first : null;
    }

    /** @param array{array<int, int>, array<int, int>} $ready first season by type, males and females; added to */
    private function add(Pair $pair, int $season, array &$ready): bool
    {
        $isNew = false;
        foreach (array_keys($pair->children) as $child) {
            $sex = $this->law->types->isMale($child) ? 0 : 1;
            $from = $season + ($sex === 0 ? $this->law->maleDelay : $this->law->femaleDelay);
            $known = $ready[$sex][$child] ?? null;
            if ($known === null ? $this->hasRoom($child, $ready[$sex]) : $from < $known) {
                $ready[$sex][$child] = $from;
                $isNew = true;
            }
        }

        return $isNew;
    }

    /** @param array<int, int> $ready of one sex: the one farthest from the target makes room for one that is nearer */
    private function hasRoom(int $child, array &$ready): bool
    {
        if (count($ready) < self::MOST) {
            return true;
        }
        $this->isCut = true;
        if (! $this->prefersTheNear) {
            return false;
        }
        $farthest = array_key_first($ready);
        foreach (array_keys($ready) as $type) {
            $farthest = $this->nearness->promise($type) < $this->nearness->promise($farthest) ? $type : $farthest;
        }
        if ($this->nearness->promise($child) <= $this->nearness->promise($farthest)) {
            return false;
        }
        unset($ready[$farthest]);

        return true;
    }
}
