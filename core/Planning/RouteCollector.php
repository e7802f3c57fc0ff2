<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Search\Node;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteBuilder;
use Destino\Planning\Search\RouteSearch;
use Destino\Planning\Search\RouteStep;

/** Collects routes that differ, each with its name and why it is one. */
final class RouteCollector
{
    /** Whether a search was broken off. */
    public bool $isCut = false;

    public function __construct(private readonly Space $space) {}

    /**
     * @param array<string, Route> $found by shape
     * @param list<Founder> $founders
     */
    public function collect(array &$found, array $founders, string $name, int $most = 4): void
    {
        // An alternative that takes half as long again as the first is no alternative; one without buying may take much longer.
        $first = $found === [] ? null : min(array_map(static fn (Route $route): float => $route->expected, $found));
        $isLimited = $this->space->project->budget !== null || $this->space->project->mostInbreeding !== null;
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
                $taken === 0 && ($name !== 'Buying what is offered' || $route->purchases !== []) ? $name : $this->nameOf($route),
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
        return ($this->space->project->budget === null || $route->cost() <= $this->space->project->budget)
            && ($this->space->project->mostInbreeding === null
                || $route->inbreeding->compareTo($this->space->project->mostInbreeding) <= 0);
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
        $crosses = count($route->steps) === 1 ? '1 pairing' : count($route->steps).' pairings';
        $buys = $route->purchases === []
            ? 'nothing to buy'
            : 'to buy: '.implode(', ', array_map(static fn (Founder $founder): string => $founder->genes, $route->purchases));
        $slow = $slowest === null
            ? ''
            : '. Longest wait: '.($slowest->sex === null ? '' : "a {$slowest->sex->value} ").($slowest->genes)
                .", {$slowest->odds->numerator()} in {$slowest->odds->denominator()} per egg, about ".number_format($wait, 1).' seasons';

        return "{$crosses}, {$buys}{$slow}.";
    }

    /** The young of a route, whoever their parents are. */
    private static function intermediates(Route $route): string
    {
        $young = array_map(static fn (RouteStep $step): string => $step->isLast ? '' : $step->genes.$step->sex?->value, $route->steps);
        sort($young);

        return implode(';', $young).'|'.implode(',', array_map(static fn (Founder $founder): string => $founder->id, $route->purchases));
    }
}
