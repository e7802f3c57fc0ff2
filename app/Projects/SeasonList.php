<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Models\Clutch;
use App\Models\Project;
use Destino\Planning\Weigh\SeasonAssignment;
use Illuminate\Support\Carbon;

/**
 * The season over all projects: the pairings that together do most for all of them. A pairing counts for a project by how
 * much it adds to the chance that is still missing, P(not by the horizon) · its hazard, times the project's weight; one that
 * serves two projects counts for both. An animal is one animal: what is together already stays together.
 *
 * @phpstan-type Wish array{sire: string, dam: string, weight: float, serves: list<array{project: Project, egg: float, gain: float, asked: bool}>}
 */
class SeasonList
{
    /** A pairing that adds less than this to what all projects still miss is not worth a season of a female. */
    private const LEAST = .001;

    /** Months after which a pairing without eggs is over. */
    private const TOGETHER = 10;

    /** @var list<Wish> what is suggested, the worthiest first */
    public readonly array $grants;

    /** @var list<array{sire: string, dam: string, project: Project, why: string}> what a plan asks for and does not get */
    public readonly array $waiting;

    /** @var list<array{clutch: Clutch, dam: string, sires: string}> pairings of this season that are recorded */
    public readonly array $made;

    /** @var list<Wish> all that would add something */
    private readonly array $wishes;

    /** @var array<string, string> names by the core's id */
    private array $names = [];

    /**
     * @param list<Project> $projects with their latest plans
     * @param int $femalesPerMale of the house
     * @param iterable<Clutch> $clutches of the collection
     * @param array<string, array{share: float, words: string}> $before malformed young of pairs (BeforeOfPairs)
     */
    public function __construct(array $projects, int $femalesPerMale, iterable $clutches = [], private readonly array $before = [])
    {
        [$this->made, $taken, $served] = $this->together($clutches);
        $wishes = $this->wishes($projects, $taken);
        $this->wishes = $wishes;
        $assignment = new SeasonAssignment(
            array_map(
                fn (array $wish): array => [
                    'sires' => [$wish['sire']], 'dams' => [$wish['dam']], 'weight' => $wish['weight'],
                ],
                $wishes,
            ),
            $femalesPerMale, $served,
        );
        $grants = array_map(fn (array $grant): array => $wishes[$grant['wish']], $assignment->grants());
        usort($grants, fn (array $a, array $b): int => $b['weight'] <=> $a['weight']);
        $this->grants = $grants;
        $this->waiting = $this->waiting($wishes, $grants, $taken);
    }

    /** @return list<Wish> pairings of a female that would add something, the worthiest first */
    public function alternatives(string $dam): array
    {
        $wishes = array_values(array_filter($this->wishes, fn (array $wish): bool => $wish['dam'] === $dam));
        usort($wishes, fn (array $a, array $b): int => $b['weight'] <=> $a['weight']);

        return $wishes;
    }

    /** What was seen in young of a pair before; empty where nothing was. */
    public function seenBefore(string $sire, string $dam): string
    {
        return $this->before["{$sire} {$dam}"]['words'] ?? '';
    }

    public function name(string $id): string
    {
        return $this->names[$id] ?? $id;
    }

    /**
     * @param list<Project> $projects
     * @param array<string, string> $taken mates by female
     * @return list<Wish>
     */
    private function wishes(array $projects, array $taken): array
    {
        $wishes = [];
        foreach ($projects as $project) {
            $result = $project->made();
            $this->names += $result->names;
            $chances = $result->policy['probability_by_season'] ?? [];
            $missing = $chances === [] ? 0.0 : max(.01, 1 - $chances[count($chances) - 1]['decimal']);
            $asked = array_map(fn (array $one): string => "{$one['sire']} {$one['dam']}", $result->policy['now']['matings'] ?? []);
            foreach ($result->possible as $pair) {
                // A pair of which young were malformed gives fewer that a project can use: as a plan knows it, or since then.
                if (isset($this->names[$pair['sire']], $this->names[$pair['dam']])) {
                    $key = "{$pair['sire']} {$pair['dam']}";
                    $hazard = $pair['hazard'] * ($this->before[$key]['share'] ?? 1) / ($result->sound[$key] ?? 1);
                    $wishes[$key] ??= ['sire' => $pair['sire'], 'dam' => $pair['dam'], 'weight' => 0.0, 'serves' => []];
                    $wishes[$key]['weight'] += $project->weight * $missing * $hazard;
                    $wishes[$key]['serves'][] = [
                        'project' => $project, 'egg' => (float) $pair['target_an_egg'], 'gain' => $missing * $hazard,
                        'asked' => in_array($key, $asked, true),
                    ];
                }
            }
        }

        return array_values(array_filter(
            $wishes, fn (array $wish): bool => $wish['weight'] >= self::LEAST && ! isset($taken[$wish['dam']]),
        ));
    }

    /**
     * @param list<Wish> $wishes
     * @param list<Wish> $grants
     * @param array<string, string> $taken
     * @return list<array{sire: string, dam: string, project: Project, why: string}>
     */
    private function waiting(array $wishes, array $grants, array $taken): array
    {
        $given = [];
        foreach ($grants as $grant) {
            $given[$grant['dam']] = $grant;
        }
        $waiting = [];
        foreach ($wishes as $wish) {
            $grant = $given[$wish['dam']] ?? null;
            foreach ($grant !== null && $grant['sire'] === $wish['sire'] ? [] : $wish['serves'] as $one) {
                if ($one['asked']) {
                    $waiting[] = ['sire' => $wish['sire'], 'dam' => $wish['dam'], 'project' => $one['project'], 'why' => $grant === null
                        ? "{$this->name($wish['sire'])} has as many females as your house rules give a male, each of which does more"
                        : "{$this->name($wish['dam'])} does more for all projects together with {$this->name($grant['sire'])}"];
                }
            }
        }

        return $waiting;
    }

    /**
     * What is together, mates by female, females by male.
     *
     * @param iterable<Clutch> $clutches
     * @return array{list<array{clutch: Clutch, dam: string, sires: string}>, array<string, string>, array<string, int>}
     */
    private function together(iterable $clutches): array
    {
        $made = $taken = $served = [];
        foreach ($clutches as $clutch) {
            $since = $clutch->laid_on ?? $clutch->paired_on;
            if ($clutch->hatched_on !== null || ($since !== null && $since->lt(Carbon::today()->subMonths(self::TOGETHER)))) {
                continue;
            }
            $sires = $clutch->sires->map(fn ($sire): string => $sire->animal->name ?? (string) $sire->name)->filter()->implode(' or ');
            $made[] = ['clutch' => $clutch, 'dam' => $clutch->dam->name, 'sires' => $sires];
            $taken[CoreId::of($clutch->dam_id)] = $sires;
            foreach ($clutch->laid_on === null ? $clutch->sires->whereNotNull('animal_id') : [] as $sire) {
                $served[CoreId::of($sire->animal_id)] = ($served[CoreId::of($sire->animal_id)] ?? 0) + 1;
            }
        }

        return [$made, $taken, $served];
    }
}
