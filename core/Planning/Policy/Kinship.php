<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Husbandry\Pedigree;
use Destino\Planning\Given\Project;

/** Which pairs of a run are so closely related that their young would be more inbred than a project allows of its target. */
final class Kinship
{
    /** @var array<string, bool> by sire and dam */
    private array $close = [];

    public function __construct(private readonly Project $project) {}

    /**
     * What a pair of close relatives is worth less, times F of their young. With .5 the demo gives up a father × daughter pair
     * without losing chance; with .1 it does not, with 1 it needs more clutches.
     */
    private const PRICE = .5;

    /** The price of close relatedness as a factor: parents and young and siblings have F = 1/4, half siblings 1/8. */
    public static function price(Holding $sire, Holding $dam): float
    {
        [$sireOfSire, $damOfSire] = $sire->parents ?? [null, null];
        [$sireOfDam, $damOfDam] = $dam->parents ?? [null, null];
        if ($sireOfDam === $sire->id || $damOfSire === $dam->id) {
            return 1 - self::PRICE / 4;
        }
        $shared = ($sireOfSire !== null && $sireOfSire === $sireOfDam ? 1 : 0) + ($damOfSire !== null && $damOfSire === $damOfDam ? 1 : 0);

        return 1 - self::PRICE * $shared / 8;
    }

    public function isTooClose(Holding $sire, Holding $dam): bool
    {
        if ($this->project->mostInbreeding === null) {
            return false;
        }

        return $this->close[self::pair($sire->id, $dam->id)] ??= $this->pedigreeOf([$sire->id, $dam->id])
            ->kinship($sire->id, $dam->id)
            ->compareTo($this->project->mostInbreeding) > 0;
    }

    /** Equal for pairs that are related in the same way: whoever of a litter it is, unless one stands behind the other. */
    private static function pair(string $sire, string $dam): string
    {
        return str_contains($sire, $dam) || str_contains($dam, $sire)
            ? "{$sire} {$dam}"
            : preg_replace('/\.\d+\)$/', ')', $sire).' '.preg_replace('/\.\d+\)$/', ')', $dam);
    }

    /** @param list<string> $ids */
    private function pedigreeOf(array $ids): Pedigree
    {
        $parents = [];
        foreach ($this->project->founders as $founder) {
            $parents[$founder->id] = [$founder->sire, $founder->dam];
        }
        while ($ids !== []) { // young are named after their parents
            $id = array_pop($ids);
            if (! isset($parents[$id])) {
                $parents[$id] = Young::parentsOf($id);
                array_push($ids, ...array_values(array_filter($parents[$id], static fn (?string $parent): bool => $parent !== null)));
            }
        }

        return new Pedigree($parents);
    }
}
