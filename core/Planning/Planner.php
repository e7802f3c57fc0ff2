<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Genome\Catalogue;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Play;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Policy\RouteKeeper;
use Destino\Planning\Search\Route;

/** Plans a project: searches routes, keeps those that differ and that no other beats, and plays them. */
final class Planner
{
    /** Routes that are shown at the most. */
    private const MOST_ROUTES = 5;

    private readonly Space $space;

    /** Runs by which ways are compared with each other. */
    private const ROUTE_RUNS = 400;

    private ?Policy $policy = null;

    private readonly RouteCollector $collector;

    public function __construct(Catalogue $catalogue, private readonly Project $project, private readonly float $effort = 1.0)
    {
        $this->space = new Space($catalogue, $project);
        $this->collector = new RouteCollector($this->space);
    }

    public function space(): Space
    {
        return $this->space;
    }

    /**
     * @param bool $quick only the fastest route, for a first answer
     * @param (callable(int, int): bool)|null $goOn told how many of how many routes are played; false stops
     */
    public function plan(int $runs = 2000, int $seed = 1, bool $quick = false, ?callable $goOn = null): Plan
    {
        $already = $this->already();
        $isReachable = $already === null && $this->policy()->leastSeasons($this->project->horizon) !== null;
        $answer = $isReachable ? $this->policy()->answer($runs, $seed, $quick) : null;
        $routes = $this->routes($quick);
        $played = [];
        foreach ($routes as $i => $route) {
            if ($goOn !== null && ! $goOn($i, count($routes))) {
                break;
            }
            $outcome = $this->play($route, min($runs, self::ROUTE_RUNS), $seed);
            if ($outcome->by($outcome->horizon) > 0.0 || $already !== null) {
                $played[] = [$route, $outcome];
            }
        }
        $played = Unbeaten::of($played);
        usort($played, static fn (array $a, array $b): int => $b[1]->by($b[1]->horizon) <=> $a[1]->by($a[1]->horizon));

        if ($answer !== null && $routes === [] && $this->isLimited() && $answer->outcome->by($this->project->horizon) <= 0.0) {
            [$isReachable, $answer] = [false, null]; // within the limits there is no way
        }
        $why = $isReachable || $already !== null ? null : $this->obstacles()->told();

        return new Plan($this->project, $played, $answer, $why, $already, $runs, $seed, $this->collector->isCut);
    }

    /** Whether a limit is set that looking at animals and seasons alone does not see. */
    private function isLimited(): bool
    {
        return $this->project->mostInbreeding !== null || $this->project->pinned !== [] || $this->project->stances !== []
            || $this->project->budget !== null;
    }

    public function policy(): Policy
    {
        return $this->policy ??= new Policy($this->space->catalogue, $this->project, $this->space, $this->effort);
    }

    public function play(Route $route, int $runs, int $seed): Outcome
    {
        $law = $this->policy()->law;

        return (new Play($law, new RouteKeeper($law, $route), array_map(static fn (Founder $one): string => $one->id, $route->purchases)))
            ->run($runs, $seed);
    }

    /** @return list<Route> different routes within the limits, the earliest expected first */
    public function routes(bool $quick = false): array
    {
        $owned = array_values(array_filter($this->project->founders, static fn (Founder $founder): bool => ! $founder->isOffer()));
        $hasOffers = count($owned) < count($this->project->founders);
        $found = [];
        $affordable = $this->affordable();
        $this->collector->collect($found, $affordable, $hasOffers ? 'Buying what is offered' : 'Direct route');
        if ($quick && $found !== []) {
            return array_slice(array_values($found), 0, 1);
        }
        if ($hasOffers) {
            $this->collector->collect($found, $owned, 'Without buying', 2);
            $bought = array_values($found)[0]->purchases ?? [];
            if (count($bought) > 1) { // what if the dearest is left out?
                usort($bought, static fn (Founder $a, Founder $b): int => $b->price <=> $a->price);
                $this->collector->collect(
                    $found,
                    array_values(array_filter($affordable, static fn (Founder $founder): bool => $founder->id !== $bought[0]->id)),
                    "Without {$bought[0]->genes}", 1,
                );
            }
        }
        usort($found, static fn (Route $a, Route $b): int => $a->expected <=> $b->expected);

        return array_slice($found, 0, self::MOST_ROUTES);
    }

    /** @return list<Founder> owned ones, and offers that the budget allows singly */
    private function affordable(): array
    {
        return array_values(
            array_filter(
                $this->project->founders,
                fn (Founder $founder): bool =>
                    $founder->price === null || $this->project->budget === null || $founder->price <= $this->project->budget,
            ),
        );
    }

    /** One of the animals that meet the target, where as many as are wanted are owned. */
    private function already(): ?string
    {
        $wanted = $this->project->wanted;
        $found = ['male' => 0, 'female' => 0];
        foreach ($this->project->sure ? [] : $this->project->founders as $founder) {
            if (! $founder->isOffer() && $this->space->accepted($this->space->looksOf($founder), $founder->sex)->isOne()) {
                $found[$founder->sex->value]++;
                $one ??= $founder->id;
            }
        }
        $isEnough = $found['male'] >= $wanted['male'] && $found['female'] >= $wanted['female'] && array_sum($found) >= $wanted['any'];

        return $isEnough ? $one ?? null : null;
    }

    private function obstacles(): Obstacles
    {
        return new Obstacles(
            $this->project, $this->space, fn (): ?int => $this->policy()->leastSeasons(Project::MOST_SEASONS),
            fn (array $limits): array => $this->without($limits)->routes(quick: $limits !== ['budget']),
        );
    }

    /** @param list<string> $limits */
    private function without(array $limits): self
    {
        return new self(
            $this->space->catalogue,
            $this->project->withoutLimits(
                in_array('budget', $limits, true), in_array('inbreeding', $limits, true), in_array('pins', $limits, true),
                in_array('stances', $limits, true),
            ),
        );
    }
}
