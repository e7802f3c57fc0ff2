<?php

namespace App\Projects;

use App\Models\Animal;
use App\Models\Clutch;
use App\Models\Plan;
use App\Models\Project;
use Destino\DestinoError;
use Destino\Planning\PlanAssumptions;

/** What the page of a project shows: its latest plan, laid out for reading. */
class ProjectPage
{
    public const WIDTH = 720;

    public const HEIGHT = 260;

    /** @var array<string, mixed> */
    public readonly array $result;

    public readonly ?Plan $plan;

    public function __construct(public readonly Project $project, private readonly Workshop $workshop)
    {
        $this->plan = $project->latestPlan;
        $this->result = $this->plan->result ?? [];
    }

    /** @return list<array<string, mixed>> */
    public function routes(): array
    {
        return $this->result['routes'] ?? [];
    }

    /** The answer in a sentence. */
    public function answer(): string
    {
        if (isset($this->result['error'])) {
            return $this->result['error'];
        }
        if (($this->result['already'] ?? null) !== null) {
            return ($this->result['names'][$this->result['already']] ?? 'An animal')." is one already: {$this->project->target}.";
        }
        if (($this->result['unreachable'] ?? null) !== null) {
            return $this->result['unreachable']['why'];
        }
        $route = $this->routes()[0] ?? null;
        if ($route === null) {
            return 'No plan yet.';
        }
        $last = $route['probability_by_season'][count($route['probability_by_season']) - 1];
        $median = $route['season']['median'];

        return $median === null
            ? 'Fewer than half of the keepers who try this get there in '.$this->project->horizon.' seasons: '.self::percent($last['decimal']).' do.'
            : "Half of the keepers who try this have it by {$this->year($median)}, ".self::percent($last['decimal'])." by {$this->year($this->project->horizon)}.";
    }

    /** The year in which the young of a season hatch. */
    public function year(int $season): string
    {
        $made = $this->plan->created_at ?? now();
        $first = $made->month >= 3 ? $made->year + 1 : $made->year;

        return $season === 0 ? 'now' : (string) ($first + $season - 1);
    }

    /** Whether animals, beliefs or facts have changed since the plan was made. */
    public function isOutdated(): bool
    {
        try {
            return $this->plan !== null && $this->plan->state === 'done' && $this->plan->input !== $this->workshop->inputOf($this->workshop->project($this->project));
        } catch (DestinoError) {
            return true;
        }
    }

    /** Names in place of the core's ids. */
    public function named(string $text): string
    {
        return implode(' or ', array_map(fn (string $part): string => $this->result['names'][$part] ?? $part, explode(' or ', $text)));
    }

    /** @return list<array{name: string, points: string, band: string, dash: string, end: array{float, float}}> the chance by season of each route, to be drawn */
    public function curves(): array
    {
        $curves = [];
        foreach ($this->routes() as $i => $route) {
            $points = $low = $high = [];
            foreach ($route['probability_by_season'] as $at) {
                $x = $this->x($at['season']);
                $points[] = "{$x},{$this->y($at['decimal'])}";
                $high[] = "{$x},{$this->y($at['high'])}";
                $low[] = "{$x},{$this->y($at['low'])}";
            }
            $last = $route['probability_by_season'][count($route['probability_by_season']) - 1];
            $curves[] = ['name' => $route['name'], 'points' => implode(' ', $points), 'band' => implode(' ', [...$high, ...array_reverse($low)]), 'dash' => ['', '7 4', '2 3', '10 3 2 3', '4 6'][$i % 5], 'end' => [$this->x($last['season']), $this->y($last['decimal'])]];
        }

        // Names that would lie over each other move apart.
        $order = array_keys($curves);
        usort($order, fn (int $a, int $b): int => $curves[$a]['end'][1] <=> $curves[$b]['end'][1]);
        $above = -INF;
        foreach ($order as $i) {
            $curves[$i]['end'][1] = $above = max($curves[$i]['end'][1], $above + 13);
        }

        return $curves;
    }

    public function x(int $season): float
    {
        return round(48 + ($season - 1) * (self::WIDTH - 80) / max(1, $this->project->horizon - 1), 1);
    }

    public function y(float $chance): float
    {
        return round(14 + (1 - $chance) * (self::HEIGHT - 44), 1);
    }

    /**
     * A route as a river: a column for each generation, crosses as junctions, founders at the source of their arm.
     *
     * @param  array<string, mixed>  $route
     * @return array{nodes: list<array{x: float, y: float, title: string, text: string, kind: string, note: string}>, lines: list<array{float, float, float, float, float}>, width: float, height: float}
     */
    public function river(array $route): array
    {
        $level = [];
        $nodes = $rows = $lines = [];
        $place = function (string $id, int $at, string $title, string $text, string $kind, string $note) use (&$nodes, &$rows): void {
            if (! isset($nodes[$id])) {
                $rows[$at] = ($rows[$at] ?? -1) + 1;
                $nodes[$id] = ['x' => 10.0 + $at * 268, 'y' => 12.0 + $rows[$at] * 96, 'title' => $title, 'text' => $text, 'kind' => $kind, 'note' => $note];
            }
        };
        foreach ($route['steps'] as $step) {
            $level[$step['key']] = 1 + max($level[$step['from']['sire'] ?? ''] ?? 0, $level[$step['from']['dam'] ?? ''] ?? 0);
        }
        foreach ($route['steps'] as $step) {
            $at = $level[$step['key']];
            foreach (['sire', 'dam'] as $role) {
                if ($step['from'][$role] === null) {
                    $id = "{$role} {$step[$role]}";
                    $place($id, 0, $this->named($step[$role]), $step["{$role}_genes"], 'founder', $role === 'sire' ? 'male' : 'female');
                }
            }
            $keep = $step['keep'][0];
            $isLast = $step['key'] === 'target';
            $place($step['key'], $at, $keep['genes'], $isLast ? 'the target' : "keep {$keep['count']} ".($keep['sex'] ?? 'of either sex'), $isLast ? 'target' : 'young', "{$step['probability']} an egg, from {$this->year($step['season'])}");
            foreach (['sire', 'dam'] as $role) {
                $lines[] = [$step['from'][$role] ?? "{$role} {$step[$role]}", $step['key'], (float) $step['decimal']];
            }
        }
        $drawn = [];
        foreach ($lines as [$from, $to, $odds]) {
            $drawn[] = [$nodes[$from]['x'] + 236, $nodes[$from]['y'] + 40, $nodes[$to]['x'], $nodes[$to]['y'] + 40, 3 + 15 * $odds];
        }

        return ['nodes' => array_values($nodes), 'lines' => $drawn, 'width' => 268.0 * (1 + max(array_values($level) ?: [0])) + 10, 'height' => 96.0 * (1 + max($rows ?: [0])) + 12];
    }

    /**
     * The pairs of owned animals that a step can be made with, as "sire:dam".
     *
     * @param  array<string, mixed>  $step
     * @return list<string>
     */
    public function pairsOf(array $step): array
    {
        $numbers = fn (string $text): array => array_values(array_filter(array_map(fn (string $id): int => isset($this->result['names'][$id]) ? (int) substr($id, 1) : 0, explode(' or ', $text))));
        $pairs = [];
        foreach ($numbers($step['sire']) as $sire) {
            foreach ($numbers($step['dam']) as $dam) {
                $pairs[] = "{$sire}:{$dam}";
            }
        }

        return $pairs;
    }

    /** @return list<array{string, string}> crosses that are left out, with their names */
    public function forbidden(): array
    {
        return array_map(fn (array $pair): array => [implode(':', $pair), $this->named("a{$pair[0]}").' × '.$this->named("a{$pair[1]}")], $this->project->forbidden);
    }

    /** @return list<array{name: string, value: int|float, source: string}> */
    public function assumptions(): array
    {
        $defaults = (new PlanAssumptions)->toArray();
        $list = [];
        foreach ($this->result['assumptions'] ?? $defaults as $name => $value) {
            $list[] = ['name' => $name, 'value' => $value, 'source' => isset($this->project->assumptions[$name]) ? 'edited here' : ((float) $defaults[$name] === (float) $value ? 'default' : 'house rules')];
        }

        return $list;
    }

    /** @return list<Clutch> clutches since the project began whose parents the plans name, oldest first: what really happened */
    public function clutches(): array
    {
        $names = [];
        foreach ($this->project->plans()->get() as $plan) {
            foreach ($plan->result['routes'] ?? [] as $route) {
                foreach ($route['steps'] as $step) {
                    foreach ([$step['sire'], $step['dam']] as $text) {
                        $names += array_fill_keys(array_map(fn (string $id): string => ltrim($id, 'a'), explode(' or ', $text)), true);
                    }
                }
            }
        }

        return array_values($this->project->keeper->clutches()->with('dam', 'sires.animal', 'counts', 'hatchlings')->orderBy('laid_on')->get()
            ->filter(fn (Clutch $clutch): bool => ($this->project->begun_on === null || $clutch->laid_on === null || $clutch->laid_on->gte($this->project->begun_on)) && (isset($names[$clutch->dam_id]) || $clutch->hatchlings->contains(fn (Animal $animal): bool => isset($names[$animal->id]))))->all());
    }

    /** @return list<array{made: string, answer: string}> earlier plans, newest first, to hold against this one */
    public function earlier(): array
    {
        $earlier = [];
        foreach ($this->project->plans()->where('id', '<', $this->plan->id ?? 0)->whereIn('state', ['done', 'cancelled'])->latest('id')->limit(6)->get() as $plan) {
            $route = $plan->result['routes'][0] ?? null;
            $earlier[] = ['made' => (string) $plan->created_at?->format('j M Y, H:i'), 'answer' => $route === null ? 'no route' : 'median season '.($route['season']['median'] ?? 'beyond the horizon').', '.self::percent(collect($route['probability_by_season'])->last()['decimal']).' by the horizon: '.$route['name']];
        }

        return $earlier;
    }

    public static function percent(float $share): string
    {
        return ($share > 0 && $share < .01 ? 'under 1' : ($share < 1 && $share > .99 ? 'over 99' : (string) round(100 * $share)))."\u{a0}%";
    }
}
