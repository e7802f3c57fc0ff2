<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Founder;

/**
 * What the keeper may have missed this season: the most promising pairs that it does not make are each made once, in the same
 * runs, with everything after them decided as before (a rollout). A pair is taken in where it gains beyond its own error.
 */
final readonly class Rollouts
{
    private const TRIED = 6;

    /** Pairs that are taken in, one after the other. */
    private const ROUNDS = 2;

    /** Fewer runs tell nothing that could be told from chance. */
    private const FEWEST = 150;

    private const MOST = 600;

    /** A gain is believed from so many of its own errors on. */
    private const ERRORS = 2.5;

    public function __construct(private Simulation $simulation, private Promising $keeper) {}

    /**
     * @param list<Founder> $bought
     * @param int $work that it may take (Law::$work)
     * @return list<array{string, string}> pairs (ids of sire and dam) to begin with, one after the other
     */
    public function pairs(Situation $start, array $bought, int $seed, int $work): array
    {
        [$best, $pairs] = [$this->keeper, []];
        $others = $this->others($start);
        if ($others === []) {
            return [];
        }
        $each = intdiv($work, (1 + count($others)) * self::ROUNDS);
        $runs = min(self::MOST, $this->simulation->affordable($this->simulation->playing($bought), self::MOST, $seed, $each));
        if ($runs < self::FEWEST) {
            return [];
        }
        $seasons = $this->simulation->playing($bought, $best)->seasons($runs, $seed);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $found = null;
            foreach ($others as [$sire, $dam]) {
                $with = new Insisting($best, $sire->id, $dam->id, $this->simulation->law()->femalesPerMale);
                $own = $this->simulation->playing($bought, $with)->seasons($runs, $seed);
                $law = $this->simulation->law();
                [$gain, $error] = $law->space->project->aim->early
                    ? Comparison::sooner($own, $seasons, $law->horizon)
                    : Comparison::difference($own, $seasons);
                if ($gain > max(self::ERRORS * $error, $found[0] ?? 0.0)) {
                    $found = [$gain, $with, $own, [$sire->id, $dam->id]];
                }
            }
            if ($found === null) {
                break;
            }
            [, $best, $seasons, $pairs[]] = $found;
        }

        return $pairs;
    }

    /** @return list<array{Holding, Holding}> the most promising pairs that are not made */
    private function others(Situation $start): array
    {
        $made = array_map(static fn (array $pair): string => "{$pair[0]->id} {$pair[1]->id}", $this->keeper->mate($start));
        $others = [];
        foreach ($this->keeper->promises($start) as [$sire, $dam]) {
            if (count($others) < self::TRIED && ! in_array("{$sire->id} {$dam->id}", $made, true)) {
                $others[] = [$sire, $dam];
            }
        }

        return $others;
    }
}
