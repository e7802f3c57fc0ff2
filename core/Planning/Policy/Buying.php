<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Play\Outcome;

/** Which offers a policy buys at the start: those that are worth their money. */
final class Buying
{
    /** Sets of offers that are compared, and a gain that is worth the money. */
    private const MOST_BOUGHT = 3;

    private const WORTH_BUYING = 0.015;

    /** Sets that are compared well. */
    private const SIFTED = 3;

    /** Of sets of offers that are only to be told from the best. */
    private const FEWEST_SIFTED = 6;

    private readonly Project $project;

    public function __construct(private readonly Simulation $simulation, private readonly LookAhead $keeper)
    {
        $this->project = $simulation->law()->space->project;
    }

    /** @return list<Founder> the offers that are worth their money: sets that the budget allows, compared in the same runs */
    public function purchases(int $seed, int $work): array
    {
        $sets = $this->setsOfOffers();
        if (count($sets) === 1) {
            return [];
        }
        if (count($sets) > self::SIFTED) {
            $sets = $this->sifted($sets, $seed, intdiv($work, 3));
        }
        $runs = $this->simulation->affordable($this->simulation->playing($sets[count($sets) - 1]), 300, $seed, intdiv($work, count($sets)));
        $best = [];
        $most = -1.0;
        foreach ($sets as $set) { // the cheaper ones first
            $chance = self::score($this->simulation->playing($set)->run($runs, $seed));
            if ($chance > $most + ($most < 0.0 ? 0.0 : self::WORTH_BUYING)) {
                [$best, $most] = [$set, $chance];
            }
        }

        return $best;
    }

    /** @return list<Founder> offers that are worth their money as looked ahead from the start: for a first answer */
    public function foreseen(): array
    {
        $best = [];
        $most = null;
        foreach ($this->setsOfOffers() as $set) { // the cheaper ones first
            $chance = $this->keeper->outlook(new Situation(1, $this->simulation->playing($set)->start(), ['male' => 0, 'female' => 0]))->chance();
            if ($most === null || $chance > $most + self::WORTH_BUYING) {
                [$best, $most] = [$set, $chance];
            }
        }

        return $best;
    }

    /**
     * Nothing, and those that do best in a few runs.
     *
     * @param list<list<Founder>> $sets nothing first, the cheaper before the dearer
     * @return list<list<Founder>> in the same order
     */
    private function sifted(array $sets, int $seed, int $work): array
    {
        $runs = $this->simulation->affordable($this->simulation->playing($sets[count($sets) - 1]), 100, $seed, intdiv($work, count($sets)), self::FEWEST_SIFTED);
        $scores = [];
        foreach (array_slice($sets, 1, null, true) as $i => $set) {
            $scores[$i] = self::score($this->simulation->playing($set)->run($runs, $seed));
        }
        arsort($scores);
        $left = [0, ...array_slice(array_keys($scores), 0, self::SIFTED - 1)];
        sort($left);

        return array_map(static fn (int $i): array => $sets[$i], $left);
    }

    /** The chance at the horizon and, a little, how early it comes. */
    private static function score(Outcome $outcome): float
    {
        return .9 * $outcome->by($outcome->horizon) + .1 * array_sum(
            array_map($outcome->by(...), range(1, $outcome->horizon)),
        ) / $outcome->horizon;
    }

    /** @return list<list<Founder>> nothing, each of the offers that promise most, and these together as far as the budget goes; the cheaper first */
    private function setsOfOffers(): array
    {
        $ranked = $this->offersByWorth();
        $sets = [[]];
        $together = [];
        $left = $this->project->budget ?? INF;
        foreach (array_slice($ranked, 0, self::MOST_BOUGHT) as $offer) {
            $sets[] = [$offer];
            if ($offer->price <= $left) {
                $left -= (float) $offer->price;
                $together[] = $offer;
                if (count($together) > 1) {
                    $sets[] = $together;
                }
            }
        }
        usort($sets, static fn (array $a, array $b): int => self::cost($a) <=> self::cost($b));

        return $sets;
    }

    /** @param list<Founder> $set */
    public static function cost(array $set): float
    {
        return array_sum(array_map(static fn (Founder $offer): float => $offer->price ?? 0.0, $set));
    }

    /** @return list<Founder> offers within the budget that add something, those that add most first */
    private function offersByWorth(): array
    {
        $play = $this->simulation->playing([]);
        $outlook = $this->keeper->outlook(new Situation(1, $play->start(), ['male' => 0, 'female' => 0]));
        $worths = $offers = [];
        foreach ($this->project->founders as $founder) {
            if ($founder->isOffer() && $founder->price <= ($this->project->budget ?? INF)) {
                $holding = $play->holding($founder);
                $worths[] = $outlook->worthNow($holding->type, $holding->from) + 1e-6 * $this->simulation->law()->types->promise($holding->type);
                $offers[] = $founder;
            }
        }
        arsort($worths);

        return array_map(static fn (int $i): Founder => $offers[$i], array_keys($worths));
    }
}
