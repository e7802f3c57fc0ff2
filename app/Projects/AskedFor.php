<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Health\BeforeOfPairs;
use App\Models\Project;
use App\Words\OddsWords;

/** The pairings that the projects of a collection ask for now, in words, to be looked at with one tap. */
class AskedFor
{
    /** @return list<array{query: array<string, mixed>, words: string, says: string}> the worthiest first */
    public static function of(Opened $opened, int $most = 5): array
    {
        $keeper = $opened->keeper();
        /** @var list<Project> $projects */
        $projects = array_values($keeper->projects()->with('latestPlan')->get()->all());
        if ($projects === []) {
            return [];
        }
        $season = new SeasonList(
            $projects, $opened->house->number('females_per_male'), $keeper->clutches()->with('dam', 'sires.animal')->get(),
            BeforeOfPairs::of($opened),
        );

        return array_map(fn (array $grant): array => [
            'query' => [
                'sire_id' => (int) CoreId::animal($grant['sire']), 'dam_id' => (int) CoreId::animal($grant['dam']),
                'target' => self::target($grant['serves']),
            ],
            'words' => "{$season->name($grant['sire'])} × {$season->name($grant['dam'])}",
            'says' => implode('; ', array_map(fn (array $one): string => $one['egg'] > 0
                ? "{$one['project']->name}: ".OddsWords::share($one['egg']).' of hatchlings are the target'
                : "{$one['project']->name}: makes breeders for the next step", $grant['serves']))
                .($season->seenBefore($grant['sire'], $grant['dam']) === '' ? ''
                    : "; {$season->seenBefore($grant['sire'], $grant['dam'])}"),
        ], array_slice($season->grants, 0, $most));
    }

    /** @param list<array{project: Project, egg: float, gain: float, asked: bool}> $serves */
    private static function target(array $serves): string
    {
        usort($serves, fn (array $a, array $b): int => [$b['egg'] > 0, $b['gain']] <=> [$a['egg'] > 0, $a['gain']]);

        return $serves[0]['project']->target ?? '';
    }
}
