<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Planning\Given\Founder;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;

/** The founders that routes use. */
final readonly class UsedFounders
{
    /**
     * @param list<Route> $routes the first is the one whose offers are bought
     * @param array<string, RouteStep> $steps of all of them
     * @return list<array{string, Founder}> with the key of their node
     */
    public static function of(array $routes, array $steps): array
    {
        $seen = $used = [];
        $bought = [];
        foreach ($routes as $i => $route) {
            foreach ($i === 0 ? $route->purchases : [] as $purchase) {
                $bought[$purchase->id] = true;
            }
        }
        foreach ($steps as $step) {
            foreach ([[$step->sire, $step->sires], [$step->dam, $step->dams]] as [$key, $founders]) {
                foreach ($founders as $founder) {
                    if (! isset($seen[$founder->id]) && (! $founder->isOffer() || isset($bought[$founder->id]))) {
                        $seen[$founder->id] = true;
                        $used[] = [$key, $founder];
                    }
                }
            }
        }

        return $used;
    }
}
