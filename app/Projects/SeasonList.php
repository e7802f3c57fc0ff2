<?php

namespace App\Projects;

use App\Models\Project;
use Destino\Planning\Weigh\SeasonAssignment;

/** What all projects together ask of the season that comes: which pairings to make, and where they want the same animal. */
class SeasonList
{
    /** @var list<array{project: Project, sires: array<string, string>, dams: array<string, string>, keep: string, odds: string, weight: float}> animals by id, with their names */
    public readonly array $wishes;

    /** @var list<array{wish: int, sire: string, dam: string}> what is suggested */
    public readonly array $grants;

    /** @var list<string> */
    public readonly array $conflicts;

    /**
     * @param array<int, Project> $projects with their latest plans
     * @param int $femalesPerMale of the house
     */
    public function __construct(array $projects, int $femalesPerMale)
    {
        $wishes = [];
        foreach ($projects as $project) {
            $result = $project->latestPlan->result ?? [];
            $names = $result['names'] ?? [];
            foreach ($result['routes'][0]['steps'] ?? [] as $step) {
                $sires = self::owned($step['sire'], $names);
                $dams = self::owned($step['dam'], $names);
                if ($step['season'] === 1 && $sires !== [] && $dams !== []) {
                    $keep = $step['keep'][0];
                    $wishes[] = [
                        'project' => $project, 'sires' => $sires, 'dams' => $dams,
                        'keep' => trim("{$keep['genes']}, ".($keep['sex'] ?? 'either sex')), 'odds' => $step['probability'],
                        'weight' => $project->weight * (1 + (float) $step['decimal']),
                    ];
                }
            }
        }
        $this->wishes = $wishes;
        $assignment = new SeasonAssignment(
            array_map(
                fn (array $wish): array => [
                    'sires' => array_keys($wish['sires']), 'dams' => array_keys($wish['dams']), 'weight' => $wish['weight'],
                ],
                $wishes,
            ),
            $femalesPerMale,
        );
        $this->grants = array_map(
            fn (array $grant): array => [
                'wish' => $grant['wish'], 'sire' => $wishes[$grant['wish']]['sires'][$grant['sire']],
                'dam' => $wishes[$grant['wish']]['dams'][$grant['dam']],
            ],
            $assignment->grants(),
        );
        $this->conflicts = $this->findConflicts();
    }

    /** @return list<string> */
    private function findConflicts(): array
    {
        $conflicts = [];
        $wanted = [];
        foreach ($this->wishes as $i => $wish) {
            foreach (count($wish['dams']) === 1 ? $wish['dams'] : [] as $id => $dam) {
                $wanted[$id]['name'] = $dam;
                $wanted[$id]['by'][] = $wish['project']->name;
            }
        }
        foreach ($wanted as ['name' => $dam, 'by' => $projects]) {
            if (count($projects) > 1) {
                $conflicts[] = "{$dam} is wanted by ".implode(' and ', $projects).': she has one mate a season.';
            }
        }
        $granted = array_column($this->grants, 'wish');
        foreach ($this->wishes as $i => $wish) {
            if (! in_array($i, $granted, true)) {
                $conflicts[] = "{$wish['project']->name} must wait with ".implode(' or ', $wish['sires']).' × '
                    .implode(' or ', $wish['dams']).'.';
            }
        }

        return $conflicts;
    }

    /**
     * @param  array<string, string>  $names
     * @return array<string, string> names by id
     */
    private static function owned(string $text, array $names): array
    {
        $found = [];
        foreach (explode(' or ', $text) as $id) {
            if (isset($names[$id])) {
                $found[$id] = $names[$id];
            }
        }

        return $found;
    }
}
