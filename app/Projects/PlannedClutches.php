<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Project;

/** Clutches since a project began whose parents its plans name: what really happened. */
final class PlannedClutches
{
    /** @return list<Clutch> oldest first */
    public static function of(Project $project): array
    {
        $names = self::named($project);
        $clutches = $project->keeper->clutches()->with('dam', 'sires.animal', 'counts', 'hatchlings')->get();
        $isOfTheTime = fn (Clutch $clutch): bool => $project->begun_on === null || $clutch->laid_on === null
            || $clutch->laid_on->gte($project->begun_on);
        $isOfThese = fn (Clutch $clutch): bool => isset($names[$clutch->dam_id])
            || $clutch->hatchlings->contains(fn (Animal $animal): bool => isset($names[$animal->id]));

        return array_values($clutches->sortBy(fn (Clutch $clutch): string => (string) $clutch->laid_on)->values()
            ->filter(fn (Clutch $clutch): bool => $isOfTheTime($clutch) && $isOfThese($clutch))->all());
    }

    /** @return array<int, true> ids of the parents that any of its plans names */
    private static function named(Project $project): array
    {
        $names = [];
        foreach ($project->plans()->get() as $plan) {
            foreach ($plan->made()->routes as $route) {
                foreach ($route['steps'] as $step) {
                    foreach ([$step['sire'], $step['dam']] as $text) {
                        $names += array_fill_keys(array_filter(array_map(CoreId::animal(...), explode(' or ', $text))), true);
                    }
                }
            }
        }

        return $names;
    }
}
