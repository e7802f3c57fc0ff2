<?php

declare(strict_types=1);

namespace App\Projects;

use App\Models\Project;

/** What to buy next: animals that would add most to all projects together, as the plans worked out. */
class NextBuys
{
    private const MOST = 8;

    /** What a season sooner counts for beside the chance to have it at all, for the order. */
    private const A_SEASON = .05;

    /**
     * @param list<Project> $projects with their latest plans
     * @return list<array{genes: string, sex: string, sum: float, serves: list<array{project: Project, says: string}>}> the worthiest first
     */
    public static function of(array $projects, Workshop $workshop): array
    {
        $buys = [];
        foreach ($projects as $project) {
            $year = (new ProjectPage($project, $workshop))->year($project->horizon);
            foreach ($project->made()->next as $one) {
                if (WorthWords::isClear($one)) {
                    $key = "{$one['sex']} {$one['genes']}";
                    $buys[$key] ??= ['genes' => $one['genes'], 'sex' => $one['sex'], 'sum' => 0.0, 'serves' => []];
                    $buys[$key]['sum'] += $project->weight * ($one['worth'] + self::A_SEASON * $one['sooner']);
                    $buys[$key]['serves'][] = ['project' => $project, 'says' => WorthWords::gain($one, $year)];
                }
            }
        }
        usort($buys, fn (array $a, array $b): int => $b['sum'] <=> $a['sum']);

        return array_slice($buys, 0, self::MOST);
    }
}
