<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Models\PlanResult;
use App\Models\Project;
use App\Models\User;
use App\Words\OddsWords;
use Illuminate\Support\Collection;

/** What the latest plans say that an animal or a pairing is worth, in words: the same figures wherever they are shown. */
class WorthWords
{
    /** A worth below so many of its own errors is none that could be told from nothing. */
    private const ERRORS = 2.0;

    /** @var Collection<int, Project> */
    private readonly Collection $projects;

    public function __construct(User $keeper, private readonly Workshop $workshop)
    {
        $this->projects = $keeper->projects()->with('latestPlan')->orderByDesc('weight')->orderBy('name')->get()->toBase();
    }

    /** @return list<array{project: Project, says: string, now: bool}> by project; those to which it is worth nothing are left out */
    public function ofPair(int $sire, int $dam): array
    {
        $words = [];
        foreach ($this->projects as $project) {
            $result = $project->made();
            $is = fn (array $one): bool => $one['sire'] === CoreId::of($sire) && $one['dam'] === CoreId::of($dam);
            $asked = array_values(array_filter($result->policy['now']['matings'] ?? [], $is))[0] ?? null;
            $possible = array_values(array_filter($result->possible, $is))[0] ?? null;
            if ($asked === null && $possible === null) {
                continue;
            }
            $page = new ProjectPage($project, $this->workshop);
            $worth = $asked === null ? '' : self::worth($asked, $page->year($project->horizon));
            $words[] = [
                'project' => $project, 'now' => $asked !== null,
                'says' => $asked === null
                    ? 'could be made this season, but the plan has something better for one of the '
                        .'two: '.self::share($possible, $result).' of what its best pairing promises'
                    : 'the plan asks for it this season'.($worth === '' ? '' : '; '.$worth),
            ];
        }

        return $words;
    }

    /** @return array<string, list<string>> projects that a pairing could serve this season, by "sire dam"; those that ask for it first */
    public function served(): array
    {
        $served = [];
        foreach ($this->projects as $project) {
            $result = $project->made();
            $asked = array_map(fn (array $one): string => "{$one['sire']} {$one['dam']}", $result->policy['now']['matings'] ?? []);
            foreach ([...$asked, ...array_map(fn (array $one): string => "{$one['sire']} {$one['dam']}", $result->possible)] as $pair) {
                $served[$pair][$project->name] ??= in_array($pair, $asked, true) ? "{$project->name} asks for it" : $project->name;
            }
        }

        return array_map(array_values(...), $served);
    }

    /** @return list<array{project: Project, says: string, now: bool}> */
    public function ofAnimal(int $id): array
    {
        $words = [];
        foreach ($this->projects as $project) {
            $result = $project->made();
            $own = array_values(array_filter($result->animals ?? [], fn (array $one): bool => $one['id'] === CoreId::of($id)))[0] ?? null;
            $mates = array_values(array_filter(
                $result->policy['now']['matings'] ?? [],
                    fn (array $one): bool => in_array(CoreId::of($id), [$one['sire'], $one['dam']], true),
            ));
            $year = (new ProjectPage($project, $this->workshop))->year($project->horizon);
            if ($own !== null && self::isClear($own)) {
                $words[] = [
                    'project' => $project,
                    'says' => 'without this animal '.self::changes(['worth' => -$own['worth'], 'sooner' => -$own['sooner']] + $own, $year),
                    'now' => $mates !== [],
                ];
            } elseif ($mates !== []) {
                $words[] = [
                    'project' => $project,
                    'says' => "used this season; another could take its place: the chance by {$year} would be much the same",
                    'now' => true,
                ];
            }
        }

        return $words;
    }

    /**
     * @param array{float, float} $gain chance and its standard error
     * @param array{float, float} $sooner seasons and their standard error
     * @return array{worth: float, error: float, sooner: float, sooner_error: float}
     */
    public static function figures(array $gain, array $sooner): array
    {
        return [
            'worth' => round($gain[0], 4), 'error' => round($gain[1], 4), 'sooner' => round($sooner[0], 2),
            'sooner_error' => round($sooner[1], 3),
        ];
    }

    /** @param array<string, mixed> $mating of the plan: what would be lost without it */
    public static function worth(array $mating, string $year): string
    {
        return self::clear($mating, $year) ?: ($mating['worth'] === null ? '' : 'another pair would do as well');
    }

    /** @param array<string, mixed> $mating what would be lost without it, where that can be told from nothing; else empty */
    public static function clear(array $mating, string $year): string
    {
        $change = $mating['worth'] === null
            ? '' : self::changes(['worth' => -$mating['worth'], 'sooner' => -($mating['sooner'] ?? 0.0)] + $mating, $year);

        return $change === '' ? '' : "without it {$change}";
    }

    /** @param array<string, mixed> $figure of something that is tried: what it changes */
    public static function change(array $figure, string $year): string
    {
        $within = number_format(200 * $figure['error'], 1)." in 100 by {$year}, ± "
            .number_format(2 * ($figure['sooner_error'] ?? 0.0), 1).' seasons';

        return self::changes($figure, $year) ?: "no clear difference (± {$within})";
    }

    /**
     * Whether an animal's worth stands out from chance: in how many have the target, or in how soon.
     *
     * @param array<string, mixed> $figure
     */
    public static function isClear(array $figure): bool
    {
        return $figure['worth'] > self::ERRORS * $figure['error'] || $figure['sooner'] > self::ERRORS * $figure['sooner_error'];
    }

    /** @param array<string, mixed> $figure of an animal that is not there */
    public static function gain(array $figure, string $year): string
    {
        return self::changes($figure, $year) ?: "no clear difference by {$year}";
    }

    /** @param array<string, mixed> $figure empty where nothing stands out */
    private static function changes(array $figure, string $year): string
    {
        $says = [];
        if (abs($figure['worth']) > self::ERRORS * $figure['error']) {
            $says[] = self::number(100 * abs($figure['worth'])).' in 100 (± '.self::number(200 * $figure['error']).') '
                .($figure['worth'] > 0 ? 'more' : 'fewer')." have the target by {$year}";
        }
        $sooner = $figure['sooner'] ?? 0.0;
        if (abs($sooner) > self::ERRORS * ($figure['sooner_error'] ?? 0.0)) {
            $says[] = 'it comes '.number_format(abs($sooner), 1).' (± '.number_format(2 * $figure['sooner_error'], 1).') seasons '
                .($sooner > 0 ? 'sooner' : 'later').' on average';
        }

        return implode(', ', $says);
    }

    private static function number(float $number): string
    {
        return $number < 9.95 ? number_format($number, 1) : (string) round($number);
    }

    /**
     * @param array{hazard: float} $pair
     */
    private static function share(array $pair, PlanResult $result): string
    {
        return OddsWords::share($pair['hazard'] / max(1e-9, ...array_column($result->possible, 'hazard')));
    }
}
