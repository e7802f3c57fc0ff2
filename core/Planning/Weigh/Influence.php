<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Policy;

/** How much each assumption moves the result: the same policy with a low and a high figure, in the same streams of chance. */
final readonly class Influence
{
    /** Low and high figures that keepers would still call usual. */
    private const RANGES = [
        'lay_rate' => [.5, .9], 'clutch_mean' => [4.0, 8.0], 'hatch' => [.8, 1.0], 'female_months' => [24, 42], 'male_months' => [6, 18],
        'females_per_male' => [1, 6],
    ];

    private function __construct(
        public string $assumption,
        public int|float $low,
        public int|float $high,
        public Outcome $atLow,
        public Outcome $atHigh,
    ) {}

    /**
     * @param list<Founder> $bought
     * @return list<self> what moves the chance by the horizon most first
     */
    public static function of(Policy $policy, array $bought, int $runs, int $seed): array
    {
        $space = $policy->law->space;
        $runs = $policy->affordable($policy->playing($bought), $runs, $seed, intdiv($policy->work(), 2 * count(self::RANGES)));
        $all = [];
        foreach (self::RANGES as $assumption => [$low, $high]) {
            $play = static function (int|float $figure) use ($policy, $space, $assumption, $bought, $runs, $seed): Outcome {
                $under = $space->under(PlanAssumptions::of([$assumption => $figure] + $space->project->assumptions->toArray()));

                return (new Policy($space->catalogue, $under->project, $under, $policy->effort))
                    ->beginning($policy->first())->outcome($bought, $runs, $seed);
            };
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
