<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Planning\Given\Founder;
use Destino\Planning\Plan;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Answer;
use Destino\Planning\Policy\Keep;
use Destino\Planning\Policy\Mating;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;

/** A plan as the document destino-plan/1. */
final class PlanDocument
{
    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        return [
            'format' => 'destino-plan/1',
            'target' => $plan->project->target->text,
            'horizon' => $plan->project->horizon,
            'seed' => $plan->seed,
            'runs' => $plan->runs,
            'assumptions' => $plan->project->assumptions->toArray(),
            'already' => $plan->already,
            'policy' => $plan->policy === null ? null : self::policy($plan->policy),
            'routes' => array_map(fn (array $pair): array => self::route(...$pair), $plan->routes),
            'search_complete' => ! $plan->isCut,
            'unreachable' => $plan->unreachable === null ? null : ['why' => $plan->unreachable],
        ];
    }

    /** @return array<string, mixed> */
    public static function policy(Answer $answer): array
    {
        return ['runs' => $answer->outcome->runs, 'effort' => $answer->effort->toArray()] + self::reached($answer->outcome) + ['now' => [
            'buy' => array_map(
                fn (Founder $offer): array => [
                    'id' => $offer->id, 'genes' => $offer->genes, 'sex' => $offer->sex->value, 'price' => $offer->price,
                ] + ($offer->from > 1 ? ['from_season' => $offer->from] : []),
                $answer->bought,
            ),
            'buy_later' => array_map(fn (Founder $offer): array => [
                'id' => $offer->id, 'genes' => $offer->genes, 'sex' => $offer->sex->value, 'price' => $offer->price,
            ], $answer->later),
            'matings' => array_map(fn (Mating $mating): array => [
                'sire' => $mating->sire, 'dam' => $mating->dam, 'target_an_egg' => round($mating->hit, 6),
                'worth' => $mating->worth === null ? null : round($mating->worth, 4), 'error' => round($mating->error, 4),
                'sooner' => round($mating->sooner, 2), 'sooner_error' => round($mating->soonerError, 3),
            ], $answer->matings),
            'keep' => array_map(fn (Keep $keep): array => [
                'genes' => $keep->genes, 'sex' => $keep->sex->value, 'expected' => round($keep->expected, 3), 'keep' => $keep->isKept,
            ], $answer->keep),
        ]];
    }

    /** @return array<string, mixed> what simulated keepers got */
    private static function reached(Outcome $outcome): array
    {
        $seasons = range(1, $outcome->horizon);

        return [
            'probability_by_season' => array_map(
                fn (int $season): array => [
                    'season' => $season, 'decimal' => round($outcome->by($season), 4), 'low' => round($outcome->band($season)[0], 4),
                    'high' => round($outcome->band($season)[1], 4),
                ],
                $seasons,
            ),
            'season' => ['median' => $outcome->season(.5), 'p10' => $outcome->season(.1), 'p90' => $outcome->season(.9)],
            'eggs' => round($outcome->eggs, 1), 'kept' => round($outcome->kept, 1), 'money' => round($outcome->money() + 0.0, 2),
            'money_by_season' => array_map(
                fn (int $season): array => ['season' => $season, 'money' => round($outcome->moneyBySeason[$season] ?? 0.0, 2)], $seasons,
            ),
            'risk' => $outcome->risk(),
        ];
    }

    /** @return array<string, mixed> */
    public static function route(Route $route, Outcome $outcome): array
    {
        return [
            'name' => $route->name, 'why' => $route->why, 'expected' => round($route->expected, 2), 'steps' => self::steps($route),
        ] + self::reached($outcome) + ['inbreeding' => $route->inbreeding->toString()];
    }

    /** @return list<array<string, mixed>> a purchase stands with the first cross that needs it */
    private static function steps(Route $route): array
    {
        $steps = $bought = [];
        foreach ($route->steps as $step) {
            $buy = array_values(
                array_filter(
                    [...$step->sires, ...$step->dams],
                    fn (Founder $founder): bool => $founder->isOffer() && ! isset($bought[$founder->id]),
                ),
            );
            foreach ($buy as $founder) {
                $bought[$founder->id] = true;
            }
            $steps[] = self::step($step, $buy);
        }

        return $steps;
    }

    /** @param  list<Founder>  $founders  any of which will do */
    private static function animal(array $founders, string $genes): string
    {
        return $founders === [] ? $genes : implode(
            ' or ',
            array_map(fn (Founder $founder): string => $founder->isOffer() ? "{$founder->genes} (to buy)" : $founder->id, $founders),
        );
    }

    /**
     * @param  list<Founder>  $buy
     * @return array<string, mixed>
     */
    private static function step(RouteStep $step, array $buy): array
    {
        return [
            'key' => $step->key,
            'season' => $step->season,
            'sire' => self::animal($step->sires, $step->sireGenes),
            'dam' => self::animal($step->dams, $step->damGenes),
            'sire_genes' => $step->sireGenes,
            'dam_genes' => $step->damGenes,
            'probability' => $step->odds->toString(),
            'decimal' => $step->odds->toFloat(),
            'keep' => [['genes' => $step->genes, 'sex' => $step->sex?->value, 'count' => $step->keep, 'young' => $step->young()]],
            'cautions' => $step->cautions,
            'buy' => array_map(
                fn (Founder $founder): array => ['genes' => $founder->genes, 'sex' => $founder->sex->value, 'price' => $founder->price],
                $buy,
            ),
            'from' => ['sire' => $step->sires === [] ? $step->sire : null, 'dam' => $step->dams === [] ? $step->dam : null],
        ];
    }
}
