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

    public function isTooClose(Holding $sire, Holding $dam): bool
    {
        if ($this->project->mostInbreeding === null) {
            return false;
        }

        return $this->close["{$sire->id} {$dam->id}"] ??= $this->pedigreeOf([$sire->id, $dam->id])
            ->kinship($sire->id, $dam->id)
            ->compareTo($this->project->mostInbreeding) > 0;
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
