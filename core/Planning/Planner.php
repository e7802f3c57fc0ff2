<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Genome\Catalogue;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Play\Simulation;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Search\Node;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteBuilder;
use Destino\Planning\Search\RouteSearch;
use Destino\Planning\Search\RouteStep;

/** Plans a project: searches routes, keeps those that differ and that no other beats, and plays them. */
final class Planner
{
    /** Routes that are shown at the most. */
    private const MOST_ROUTES = 5;

    private readonly Space $space;

    /** Runs by which ways are compared with each other. */
    private const ROUTE_RUNS = 400;

    private ?Policy $policy = null;

    private bool $isCut = false;

    public function __construct(Catalogue $catalogue, private readonly Project $project, private readonly float $effort = 1.0)
    {
        $this->space = new Space($catalogue, $project);
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

        return new Plan($this->project, $played, $answer, $why, $already, $runs, $seed, $this->isCut);
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
        return (new Simulation($this->space, [$route]))->run($runs, $seed);
    }

    /** @return list<Route> different routes within the limits, the earliest expected first */
    public function routes(bool $quick = false): array
    {
        $owned = array_values(array_filter($this->project->founders, static fn (Founder $founder): bool => ! $founder->isOffer()));
        $hasOffers = count($owned) < count($this->project->founders);
        $found = [];
        $affordable = $this->affordable();
        $this->collect($found, $affordable, $hasOffers ? 'With what is for sale' : 'The straight way');
        if ($quick && $found !== []) {
            return array_slice(array_values($found), 0, 1);
        }
        if ($hasOffers) {
            $this->collect($found, $owned, 'Without buying', 2);
            $bought = array_values($found)[0]->purchases ?? [];
            if (count($bought) > 1) { // what if the dearest is left out?
                usort($bought, static fn (Founder $a, Founder $b): int => $b->price <=> $a->price);
                $this->collect(
                    $found,
                    array_values(array_filter($affordable, static fn (Founder $founder): bool => $founder->id !== $bought[0]->id)),
                    "Without {$bought[0]->genes}", 1,
                );
            }
        }
        usort($found, static fn (Route $a, Route $b): int => $a->expected <=> $b->expected);

        return array_slice($found, 0, self::MOST_ROUTES);
    }

    /**
     * @param array<string, Route> $found by shape
     * @param list<Founder> $founders
     */
    private function collect(array &$found, array $founders, string $name, int $most = 4): void
    {
        // An alternative that takes half as long again as the first is no alternative; one without buying may take much longer.
        $first = $found === [] ? null : min(array_map(static fn (Route $route): float => $route->expected, $found));
        $isLimited = $this->project->budget !== null || $this->project->mostInbreeding !== null;
        $search = new RouteSearch(
            $this->space, 2 * $most, $first === null ? null : ($name === 'Without buying' ? 3 * $first + 6 : 1.5 * $first + 2),
            $isLimited ? fn (Node $node): bool => $this->isWithinLimits(RouteBuilder::build($this->space, $node, '', '')) : null,
        );
        $taken = 0;
        $through = [];
        foreach ($search->from($founders) as $node) {
            $route = RouteBuilder::build($this->space, $node, $name, '');
            $key = self::intermediates($route);
            if (isset($through[$key])) {
                continue; // the same young from the same parents: a near copy
            }
            $through[$key] = true;
            $found[$route->shape()] ??= new Route(
                $taken === 0 && ($name !== 'With what is for sale' || $route->purchases !== []) ? $name : $this->nameOf($route),
                $this->why($route), $route->steps, $route->purchases, $route->expected, $route->inbreeding,
            );
            if (++$taken >= $most) {
                break;
            }
        }
        $this->isCut = $this->isCut || $search->isCut;
    }

    private function isWithinLimits(Route $route): bool
    {
        return ($this->project->budget === null || $route->cost() <= $this->project->budget)
            && ($this->project->mostInbreeding === null || $route->inbreeding->compareTo($this->project->mostInbreeding) <= 0);
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

    private function nameOf(Route $route): string
    {
        $young = array_values(array_filter($route->steps, static fn (RouteStep $step): bool => ! $step->isLast));

        return $young === [] ? $route->steps[0]->sireGenes.' × '.$route->steps[0]->damGenes : 'Through '.$young[count($young) - 1]->genes;
    }

    private function why(Route $route): string
    {
        $slowest = null;
        $wait = 0.0;
        foreach ($route->steps as $step) {
            $chance = $this->space->perSeason(
                $step->odds->toFloat() * ($step->sex === null ? 1.0 : $this->space->shareOf($step->sex)),
                max(1, count($step->dams)),
            );
            if ($chance > 0 && 1 / $chance > $wait) {
                [$slowest, $wait] = [$step, 1 / $chance];
            }
        }
        $crosses = count($route->steps) === 1 ? 'One cross' : count($route->steps).' crosses';
        $buys = $route->purchases === []
            ? 'nothing to buy'
            : 'to buy: '.implode(', ', array_map(static fn (Founder $founder): string => $founder->genes, $route->purchases));
        $slow = $slowest === null
            ? ''
            : '; most of the waiting is for '.($slowest->sex === null ? '' : "a {$slowest->sex->value} ").($slowest->genes)
                .", {$slowest->odds->toString()} an egg, about ".number_format($wait, 1).' seasons';

        return "{$crosses}, {$buys}{$slow}.";
    }

    private function already(): ?string
    {
        foreach ($this->project->sure ? [] : $this->project->founders as $founder) {
            if (! $founder->isOffer() && $this->space->accepted($this->space->looksOf($founder), $founder->sex)->isOne()) {
                return $founder->id;
            }
        }

        return null;
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

    /** The young of a route, whoever their parents are. */
    private static function intermediates(Route $route): string
    {
        $young = array_map(static fn (RouteStep $step): string => $step->isLast ? '' : $step->genes.$step->sex?->value, $route->steps);
        sort($young);

        return implode(';', $young).'|'.implode(',', array_map(static fn (Founder $founder): string => $founder->id, $route->purchases));
    }
}
