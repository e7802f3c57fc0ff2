<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Models\Clutch;
use App\Models\Plan;
use App\Models\PlanResult;
use App\Models\Project;
use App\Words\OddsWords;
use Destino\DestinoError;
use Destino\Probability\Rational;
use Illuminate\Support\HtmlString;

/** What the page of a project shows: its latest plan, laid out for reading. */
class ProjectPage
{
    public readonly PlanResult $result;

    public readonly ?Plan $plan;

    /** @var list<string>|null */
    private ?array $since = null;

    public function __construct(public readonly Project $project, private readonly Workshop $workshop)
    {
        $this->plan = $project->latestPlan;
        $this->result = $project->made();
    }

    /** @return list<array<string, mixed>> */
    public function routes(): array
    {
        return $this->result->routes;
    }

    /** Number of the way that is drawn as the path: the best of those that buy no more than the plan does; null where there is none. */
    public function path(): ?int
    {
        $bought = array_column($this->policy()['now']['buy'] ?? [], 'genes');
        foreach ($this->routes() as $i => $route) {
            $buys = array_column(array_merge(...array_column($route['steps'], 'buy')), 'genes');
            if (array_diff($buys, $bought) === []) {
                return $i;
            }
        }

        return $this->routes() === [] ? null : 0;
    }

    /** The answer in a sentence. */
    public function answer(): string
    {
        return (new PlanSentence($this->result, $this->project, $this->workshop->risk(), $this->year(...)))->answer();
    }

    /** @return array<string, mixed>|null what a keeper can reach who decides each season by what hatched */
    public function policy(): ?array
    {
        return $this->result->policy;
    }

    /** @return list<string> offers that are not to be had any more, in words */
    public function goneOffers(): array
    {
        $gone = array_filter($this->project->offers, fn (array $offer): bool => isset($offer['until'])
            && $offer['until'] < now()->format('Y-m-d'));

        return array_values(array_map(fn (array $offer): string => "{$offer['sex']} {$offer['genes']}, until {$offer['until']}", $gone));
    }

    /** What was seen in young of a pair before; empty where nothing was. */
    public function seenBefore(string $sire, string $dam): string
    {
        return $this->workshop->before()["{$sire} {$dam}"]['words'] ?? '';
    }

    /** Why the house rules warn of a pair of owned animals; empty where they do not. */
    public function warnings(string $sire, string $dam): string
    {
        [$males, $females] = [$this->animalsOf($sire), $this->animalsOf($dam)];

        return count($males) === 1 && count($females) === 1 ? $this->workshop->warnings($males[0], $females[0]) : '';
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
        ], $this->result->tried);
    }

    /** @return list<array<string, mixed>> what can be reached, and then the ways */
    public function courses(): array
    {
        return [...($this->policy() === null ? [] : [['name' => 'what you can reach'] + $this->policy()]), ...$this->routes()];
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
        return $this->since() !== [];
    }

    /** @return list<string> what has changed since the plan was made, in words */
    public function since(): array
    {
        try {
            return $this->since ??= $this->plan?->state === 'done' ? $this->workshop->since($this->plan, $this->project) : [];
        } catch (DestinoError $error) {
            return $this->since = [$error->getMessage()];
        }
    }

    /** The same as a sentence, with what becomes of it. */
    public function sinceWords(): string
    {
        return 'Your animals have changed since this plan: '.implode('; ', $this->since()).'. '
            .($this->isFollowed() ? 'A new plan is being calculated.' : 'It will be updated soon.');
    }

    /** Whether a plan is being made in the place of the one that is shown. */
    public function isFollowed(): bool
    {
        return $this->project->plans()->where('state', Plan::FOLLOWING)->exists();
    }

    /** Why the plan was updated, and what it said before; empty where somebody asked for it. */
    public function updated(): string
    {
        return PlanUpdates::words($this->project);
    }

    /** Names in place of the core's ids. */
    public function named(string $text): string
    {
        return implode(' or ', array_map(fn (string $part): string => $this->result->names[$part] ?? $part, explode(' or ', $text)));
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
                array_map(fn (string $id): ?int => isset($this->result->names[$id]) ? CoreId::animal($id) : null, explode(' or ', $text)),
            ),
        );
    }

    /** @return list<array{pair: string, told: string, sentence: string, isOdd: bool}> */
    public function luck(): array
    {
        try {
            return array_map(fn (array $one): array => $one + [
                'told' => "{$one['hits']} of {$one['known']} young ".($one['hits'] === 1 ? 'is' : 'are')." {$one['hope']}, "
                    ."{$one['expected']} expected at {$one['chance']}.",
            ], $this->workshop->luck($this->project, $this->clutches())->rows());
        } catch (DestinoError) {
            return []; // the target can no longer be read: the answer says so
        }
    }

    /** @return list<array{int, string}> pinned animals with their names */
    public function pinned(): array
    {
        return array_map(fn (int $id): array => [$id, $this->named(CoreId::of($id))], $this->project->pinned);
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
            fn (array $pair): array => [implode(':', $pair), $this->named(CoreId::of($pair[0])).' × '.$this->named(CoreId::of($pair[1]))],
            $this->project->forbidden,
        );
    }

    /** The target with its conditions. */
    public function aim(): string
    {
        $project = $this->project;

        return $project->target.([
            'two' => ', two of them', 'three' => ', three of them', 'pair' => ', a breeding pair',
            'sure' => ', a pair that gives it in every egg',
        ][$project->wanted] ?? '').(($project->aim['early'] ?? false) === true ? ', early rather than surely' : '')
            .($project->most_inbreeding === null ? '' : ", F at most {$project->most_inbreeding}")
            .", {$project->horizon} ".($project->horizon === 1 ? 'season' : 'seasons').' ahead';
    }

    /** What it takes, in a sentence; empty where nothing is planned. */
    public function effort(): string
    {
        $policy = $this->policy();
        if ($policy === null || ($policy['runs'] ?? 0) < 1) {
            return '';
        }
        [$eggs, $kept] = [max(1, (int) round($policy['eggs'])), (int) round($policy['kept'])];

        return 'On average it takes '.($eggs === 1 ? 'one egg' : "{$eggs} eggs").match (true) {
            $kept < 1 => ', and hardly any young kept for it.',
            $kept === 1 => ', and one young kept for it.',
            default => ", and {$kept} young kept for it over the years.",
        };
    }

    /** @param array<string, mixed> $pair */
    public function pairLink(array $pair): string
    {
        return route('pair', [
            'sire_id' => CoreId::animal($pair['sire']), 'dam_id' => CoreId::animal($pair['dam']), 'target' => $this->project->target,
        ]);
    }

    public function folds(): ProjectFolds
    {
        return new ProjectFolds($this);
    }

    public function notes(): PlanNotes
    {
        return new PlanNotes($this->result, $this->project, $this->year(...));
    }

    /** @var list<Clutch>|null */
    private ?array $clutches = null;

    /** @return list<Clutch> clutches since the project began whose parents the plans name, oldest first: what really happened */
    public function clutches(): array
    {
        return $this->clutches ??= PlannedClutches::of($this->project);
    }

    /** A chance of the plan, which keeps it as a text. */
    public function odds(string $fraction): HtmlString
    {
        return OddsWords::kept($fraction);
    }
}
