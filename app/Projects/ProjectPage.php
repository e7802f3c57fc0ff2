<?php

declare(strict_types=1);

namespace App\Projects;

use App\Models\Clutch;
use App\Models\Plan;
use App\Models\Project;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Probability\Rational;
use Illuminate\Support\HtmlString;

/** What the page of a project shows: its latest plan, laid out for reading. */
class ProjectPage
{
    /** The share of keepers by whose year a plan is judged, by the house's openness to risk. */
    private const RISKS = ['careful' => [.9, 'nine in ten'], 'even' => [.5, 'half'], 'bold' => [.25, 'a quarter']];

    /** Simulated keepers of whom a share is told in years. */
    private const FEWEST_TOLD = 20;

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
        $policy = $this->policy();
        if ($policy === null) {
            return 'No plan yet.';
        }
        $last = $policy['probability_by_season'][count($policy['probability_by_season']) - 1];
        [$share, $who] = self::RISKS[$this->workshop->risk()];
        if (($policy['runs'] ?? self::FEWEST_TOLD) < self::FEWEST_TOLD) { // nine in ten of four keepers is nothing that could be said
            return "By {$this->year($this->project->horizon)}: ".self::reached($last).', as far as a first look tells.';
        }
        $season = self::seasonOf($policy, $share);

        return "By {$this->year($this->project->horizon)}: ".self::reached($last).'. '.($season === null
            ? ucfirst($who).' of those who try have to wait longer.'
            : ucfirst($who)." of those who try have it by {$this->year($season)}.");
    }

    /** @param array{decimal: float, low: float} $at what every run reached is not sure for that */
    private static function reached(array $at): string
    {
        return $at['decimal'] >= 1 ? 'over '.min(99, (int) floor(100 * $at['low'])).' %' : self::percent($at['decimal']);
    }

    /** @return array<string, mixed>|null what a keeper can reach who decides each season by what hatched */
    public function policy(): ?array
    {
        return $this->result['policy'] ?? null;
    }

    /** @return list<string> offers that are not to be had any more, in words */
    public function goneOffers(): array
    {
        $gone = array_filter($this->project->offers, fn (array $offer): bool => isset($offer['until']) && $offer['until'] < now()->format('Y-m-d'));

        return array_values(array_map(fn (array $offer): string => "{$offer['sex']} {$offer['genes']}, until {$offer['until']}", $gone));
    }

    /** What was seen in young of a pair before; empty where nothing was. */
    public function seenBefore(string $sire, string $dam): string
    {
        return $this->workshop->before()["{$sire} {$dam}"]['words'] ?? '';
    }

    public function now(): ?Now
    {
        return isset($this->policy()['now']) ? new Now($this->policy()['now'], $this) : null;
    }

    /** @return list<array{pair: string, says: string}> pairings that were tried against the plan, the last first */
    public function tried(): array
    {
        $year = $this->year($this->project->horizon);

        return array_map(fn (array $one): array => [
            'pair' => $this->named($one['sire']).' × '.$this->named($one['dam']),
            'says' => 'this season, the rest as well as can be: '.WorthWords::change($one, $year),
        ], $this->result['tried'] ?? []);
    }

    /** @return list<array<string, mixed>> what can be reached, and then the ways */
    private function courses(): array
    {
        return [...($this->policy() === null ? [] : [['name' => 'what you can reach'] + $this->policy()]), ...$this->routes()];
    }

    /** @param array<string, mixed> $route */
    private static function seasonOf(array $route, float $share): ?int
    {
        foreach ($route['probability_by_season'] as $at) {
            if ($at['decimal'] >= $share) {
                return $at['season'];
            }
        }

        return null;
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
            return $this->plan !== null
                && $this->plan->state === 'done'
                && $this->plan->input !== $this->workshop->inputOf($this->workshop->project($this->project));
        } catch (DestinoError) {
            return true;
        }
    }

    /** Names in place of the core's ids. */
    public function named(string $text): string
    {
        return implode(' or ', array_map(fn (string $part): string => $this->result['names'][$part] ?? $part, explode(' or ', $text)));
    }

    /** What can be reached and what it costs, season by season. */
    public function chart(): CourseChart
    {
        return new CourseChart($this->courses(), $this->project->horizon);
    }

    /** How a route differs from the first, in words. */
    public function against(int $i): string
    {
        return RouteWords::against($this->routes()[0], $this->routes()[$i], $this->year($this->project->horizon));
    }

    /** @param  array<string, mixed>  $route */
    public function river(array $route): River
    {
        return new River($route, $this, $this->clutches());
    }

    /** @return list<int> owned animals that the core's words name, as "a5 or a6" */
    public function animalsOf(string $text): array
    {
        return array_values(
            array_filter(
                array_map(fn (string $id): int => isset($this->result['names'][$id]) ? (int) substr($id, 1) : 0, explode(' or ', $text)),
            ),
        );
    }

    /** @return list<array{pair: string, hope: string, chance: string, known: int, hits: int, expected: float, sentence: string, isOdd: bool}> */
    public function luck(): array
    {
        try {
            return $this->workshop->luck($this->project, $this->clutches())->rows();
        } catch (DestinoError) {
            return []; // the target can no longer be read: the answer says so
        }
    }

    /** @return list<array{int, string}> pinned animals with their names */
    public function pinned(): array
    {
        return array_map(fn (int $id): array => [$id, $this->named("a{$id}")], $this->project->pinned);
    }

    /** What the house's limit of relatedness says of a route. */
    public function closeness(string $inbreeding, ?Rational $limit): ?string
    {
        return $limit !== null && Rational::parse($inbreeding)->compareTo($limit) > 0
            ? "F = {$inbreeding} is above the {$limit->toString()} at which your house rules warn: an unrelated mate would lower it."
            : null;
    }

    /**
     * The pairs of owned animals that a step can be made with, as "sire:dam".
     *
     * @param  array<string, mixed>  $step
     * @return list<string>
     */
    public function pairsOf(array $step): array
    {
        $pairs = [];
        foreach ($this->animalsOf($step['sire']) as $sire) {
            foreach ($this->animalsOf($step['dam']) as $dam) {
                $pairs[] = "{$sire}:{$dam}";
            }
        }

        return $pairs;
    }

    /** @return list<array{string, string}> crosses that are left out, with their names */
    public function forbidden(): array
    {
        return array_map(
            fn (array $pair): array => [implode(':', $pair), $this->named("a{$pair[0]}").' × '.$this->named("a{$pair[1]}")],
            $this->project->forbidden,
        );
    }

    /** @return list<array{label: string, low: array{figure: string, gives: string}, high: array{figure: string, gives: string}}> what moves the result most */
    public function influence(): array
    {
        return array_map(fn (array $one): array => ['label' => AssumptionWords::label($one['assumption'])] + array_map(
            fn (string $end): array => [
                'figure' => AssumptionWords::figure($one['assumption'], $one[$end]),
                'gives' => ($one["at_{$end}"]['median'] === null ? 'later' : $this->year($one["at_{$end}"]['median']))
                    .', '.self::percent($one["at_{$end}"]['by_horizon']),
            ],
            ['low' => 'low', 'high' => 'high'],
        ), $this->result['influence'] ?? []);
    }

    /** @return list<array{name: string, value: int|float, source: string}> */
    public function assumptions(): array
    {
        $defaults = (new PlanAssumptions)->toArray();
        $list = [];
        $used = $this->result['assumptions'] ?? $defaults;
        foreach (AssumptionWords::order() as $name) {
            $value = $used[$name] ?? $defaults[$name];
            $list[] = [
                'name' => $name, 'value' => $value,
                'source' => isset($this->project->assumptions[$name])
                    ? 'edited here'
                    : ((float) $defaults[$name] === (float) $value ? 'default' : 'house rules'),
            ];
        }

        return $list;
    }

    /** @var list<Clutch>|null */
    private ?array $clutches = null;

    /** @return list<Clutch> clutches since the project began whose parents the plans name, oldest first: what really happened */
    public function clutches(): array
    {
        return $this->clutches ??= PlannedClutches::of($this->project);
    }

    /** @return list<array{made: string, answer: string}> earlier plans, newest first, to hold against this one */
    public function earlier(): array
    {
        $earlier = [];
        foreach (
            $this->project->plans()
                ->where('id', '<', $this->plan->id ?? 0)
                ->whereIn('state', ['done', 'cancelled'])
                ->latest('id')
                ->limit(6)
                ->get() as $plan
        ) {
            $route = $plan->result['policy'] ?? $plan->result['routes'][0] ?? null;
            $earlier[] = [
                'made' => (string) $plan->created_at?->format('j M Y, H:i'),
                'answer' => $route === null
                    ? 'no way'
                    : 'median season '.($route['season']['median'] ?? 'beyond the horizon').', '
                        .self::percent(array_column($route['probability_by_season'], 'decimal')[count($route['probability_by_season']) - 1])
                        .' by the horizon',
            ];
        }

        return $earlier;
    }

    public static function percent(float $share): string
    {
        return ($share > 0 && $share < .01 ? 'under 1' : ($share < 1 && $share > .99 ? 'over 99' : (string) round(100 * $share)))."\u{a0}%";
    }

    /** A chance of the plan, which keeps it as a text. */
    public function odds(string $fraction): HtmlString
    {
        return OddsWords::kept($fraction);
    }
}
