<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Play\Simulation;
use Destino\Planning\Search\Route;

/** How much each assumption moves the result of a route: the same route played with a low and a high figure. */
final readonly class Influence
{
    /** Low and high figures that keepers would still call usual. */
    private const RANGES = [
        'lay_rate' => [.5, .9], 'clutch_mean' => [4.0, 8.0], 'infertile' => [.0, .2], 'hatch' => [.8, 1.0],
        'female_share' => [.4, .6], 'female_months' => [24, 42], 'male_months' => [6, 18], 'females_per_male' => [1, 6],
    ];

    private function __construct(
        public string $assumption,
        public int|float $low,
        public int|float $high,
        public Outcome $atLow,
        public Outcome $atHigh,
    ) {}

    /** @return list<self> what moves the chance by the horizon most first */
    public static function of(Space $space, Route $route, int $runs, int $seed): array
    {
        $all = [];
        foreach (self::RANGES as $assumption => [$low, $high]) {
            $play = static fn (int|float $figure): Outcome => (
                new Simulation(
                    $space->under(PlanAssumptions::of([$assumption => $figure] + $space->project->assumptions->toArray())),
                    [$route],
                )
            )->run($runs, $seed);
            $all[] = new self($assumption, $low, $high, $play($low), $play($high));
        }
        usort($all, static fn (self $a, self $b): int => $b->swing() <=> $a->swing());

        return $all;
    }

    /** How far the mean chance over the seasons lies apart between the low and the high figure. */
    public function swing(): float
    {
        $mean = static fn (Outcome $outcome): float => array_sum(
            array_map($outcome->by(...), range(1, $outcome->horizon)),
        ) / $outcome->horizon;

        return abs($mean($this->atHigh) - $mean($this->atLow));
    }
}
