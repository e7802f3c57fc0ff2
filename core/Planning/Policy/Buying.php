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

    /** What may be lost where an offer need not be bought at all. */
    private const HARDLY = 0.003;

    /** Runs by which waiting is compared, at the least. */
    private const TELLING = 150;

    /** Share of its price that has to be saved by waiting, on average: what is bought in the end as well is bought at once. */
    private const SAVED = 0.2;

    /** Seasons in which waiting for what hatches can help. */
    private const TIME_TO_WAIT = 3;

    /** How much having it early counts against having it by the horizon, and where the keeper wants it early. */
    private const A_LITTLE = .1;

    private const EARLY = .7;

    /** Sets that are compared well. */
    private const SIFTED = 3;

    /** Of sets of offers that are only to be told from the best. */
    private const FEWEST_SIFTED = 6;

    private readonly Project $project;

    public function __construct(private readonly Simulation $simulation, private readonly LookAhead $keeper)
    {
        $this->project = $simulation->law()->space->project;
    }

    /** Whether anything is for sale that the budget allows. */
    public function isOpen(): bool
    {
        return count($this->setsOfOffers()) > 1;
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
        $runs = $this->simulation->affordable($this->simulation->playing($sets[count($sets) - 1]), 200, $seed, intdiv($work, count($sets)));
        $best = [];
        $most = -1.0;
        foreach ($sets as $set) { // the cheaper ones first
            $chance = $this->score($this->simulation->playing($set)->run($runs, $seed));
            if ($chance > $most + ($most < 0.0 ? 0.0 : self::WORTH_BUYING)) {
                [$best, $most] = [$set, $chance];
            }
        }

        return $best;
    }

    /**
     * What is bought now, and what only in a later season, if nothing as near the target has hatched by then: the sex that fails to
     * hatch, or what would be superfluous half of the time.
     *
     * @param list<Founder> $bought what is worth its money now
     * @return array{list<Founder>, list<string>} bought now; ids of what may be bought later
     */
    public function inTime(array $bought, int $seed, int $work): array
    {
        $budget = $this->project->budget ?? INF;
        $offers = array_slice($this->offersByWorth(), 0, self::MOST_BOUGHT);
        $others = array_values(array_filter($offers, static fn (Founder $one): bool => ! in_array($one, $bought, true)));
        $ways = [[$bought, self::ids(array_filter($others, static fn (Founder $one): bool => self::cost([...$bought, $one]) <= $budget))]];
        foreach ($bought as $one) {
            $ways[] = [array_values(array_filter($bought, static fn (Founder $other): bool => $other !== $one)),
                self::ids([$one, ...$others])];
        }
        $ways = array_values(array_filter($ways, static fn (array $way): bool => $way[1] !== []));
        if ($ways === [] || $this->project->horizon < self::TIME_TO_WAIT) {
            return [$bought, []];
        }
        $runs = $this->simulation->affordable($this->simulation->playing($bought), self::TELLING, $seed,
            intdiv($work, 2 * count($ways) + 1));
        if ($runs < $this->simulation->atEffort(self::TELLING)) {
            return [$bought, []]; // too few to tell
        }
        $best = $this->simulation->playing($bought, null, [])->run($runs, $seed);
        $found = [$bought, []];
        foreach ($ways as [$now, $later]) {
            $own = $this->simulation->playing($now, null, $later)->run($runs, $seed);
            $saved = count($now) < count($bought)
                && $own->money() < $best->money() - self::SAVED * (self::cost($bought) - self::cost($now));
            if ($saved ? $this->score($own) > $this->score($best) - self::HARDLY : $this->score($own) > $this->score($best)
                + self::WORTH_BUYING + sqrt(.25 / $runs)) {
                [$best, $found] = [$own, [$now, $later]];
            }
        }

        return [$found[0], $this->needed($found[0], $found[1], $this->score($best), $runs, $seed)];
    }

    /**
     * @param list<Founder> $now
     * @param list<string> $later
     * @return list<string> those without which there would be less
     */
    private function needed(array $now, array $later, float $score, int $runs, int $seed): array
    {
        foreach ($later as $one) {
            $rest = array_values(array_diff($later, [$one]));
            $own = $rest === [] ? 0.0 : $this->score($this->simulation->playing($now, null, $rest)->run($runs, $seed));
            $later = $own > $score - self::HARDLY ? $rest : $later;
        }

        return $later;
    }

    /**
     * @param array<Founder> $offers
     * @return list<string>
     */
    private static function ids(array $offers): array
    {
        return array_values(array_map(static fn (Founder $one): string => $one->id, $offers));
    }

    /** @return list<Founder> offers that are worth their money as looked ahead from the start: for a first answer */
    public function foreseen(): array
    {
        $best = [];
        $most = null;
        foreach ($this->setsOfOffers() as $set) { // the cheaper ones first
            $chance = $this->keeper->outlook(new Situation(1, $this->simulation->playing($set)->start(),
                ['male' => 0, 'female' => 0]))->chance();
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
        $runs = $this->simulation->affordable($this->simulation->playing($sets[count($sets) - 1]), 100, $seed, intdiv($work, count($sets)),
            self::FEWEST_SIFTED);
        $scores = [];
        foreach (array_slice($sets, 1, null, true) as $i => $set) {
            $scores[$i] = $this->score($this->simulation->playing($set)->run($runs, $seed));
        }
        arsort($scores);
        $left = [0, ...array_slice(array_keys($scores), 0, self::SIFTED - 1)];
        sort($left);

        return array_map(static fn (int $i): array => $sets[$i], $left);
    }

    /** The chance at the horizon and, a little or mostly, how early it comes. */
    private function score(Outcome $outcome): float
    {
        $early = $this->project->aim->early ? self::EARLY : self::A_LITTLE;

        return (1 - $early) * $outcome->by($outcome->horizon) + $early * array_sum(
            array_map($outcome->by(...), range(1, $outcome->horizon)),
        ) / $outcome->horizon;
    }

    /**
     * @return list<list<Founder>> nothing, each of the offers that promise most, and these together as far as the budget goes; the
     *     cheaper first
     */
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
                $worths[] = $outlook->worthNow($holding->type, $holding->from)
                    + 1e-6 * $this->simulation->law()->types->promise($holding->type);
                $offers[] = $founder;
            }
        }
        arsort($worths);

        return array_map(static fn (int $i): Founder => $offers[$i], array_keys($worths));
    }
}
