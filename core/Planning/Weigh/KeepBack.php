<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Simulation;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;

/** How many to keep of each step of a route: what one more tub is worth, played. */
final readonly class KeepBack
{
    private const MOST = 4;

    /** A tub that adds less than this to the chance by the horizon is not worth its food. */
    private const WORTH = .02;

    /** @param array<int, float> $chances P(target by the horizon) by the number kept */
    private function __construct(public RouteStep $step, public array $chances, public int $advised) {}

    /** @return list<self> for each step but the last */
    public static function of(Space $space, Route $route, int $runs, int $seed): array
    {
        $advice = [];
        foreach ($route->steps as $step) {
            if ($step->isLast) {
                continue;
            }
            $chances = [];
            $advised = 1;
            for ($count = 1; $count <= self::MOST; $count++) {
                $outcome = (new Simulation($space, [$route->keeping($step->key, $count)]))->run($runs, $seed);
                $chances[$count] = $outcome->by($outcome->horizon);
                if ($count > 1 && $chances[$count] - $chances[$advised] >= self::WORTH) {
                    $advised = $count;
                }
            }
            $advice[] = new self($step, $chances, $advised);
        }

        return $advice;
    }
}
