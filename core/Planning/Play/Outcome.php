<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

/** What many simulated keepers got of a route. */
final readonly class Outcome
{
    /**
     * @param int $horizon seasons played
     * @param array<int, int> $reachedIn runs that first had the target in each season; 0: it was there from the start
     * @param float $eggs mean eggs laid until the target was there, or the horizon
     * @param float $kept mean animals kept of the plan, purchases aside
     * @param array<int, float> $moneyBySeason mean money spent up to each season
     * @param array<string, int> $stuck runs that failed, by where they hung
     */
    public function __construct(
        public int $runs,
        public int $horizon,
        public array $reachedIn,
        public float $eggs,
        public float $kept,
        public array $moneyBySeason,
        public array $stuck,
    ) {}

    /** P(the target has hatched in this season or earlier), as the runs show it. */
    public function by(int $season): float
    {
        $reached = 0;
        foreach ($this->reachedIn as $in => $runs) {
            $reached += $in <= $season ? $runs : 0;
        }

        return $reached / $this->runs;
    }

    /**
     * The band in which the chance lies with 95 %: Wilson's interval for a share of so many runs.
     *
     * @return array{float, float}
     */
    public function band(int $season): array
    {
        $p = $this->by($season);
        $z = 1.959964;
        $n = $this->runs;
        $middle = ($p + $z * $z / (2 * $n)) / (1 + $z * $z / $n);
        $half = $z / (1 + $z * $z / $n) * sqrt($p * (1 - $p) / $n + $z * $z / (4 * $n * $n));

        return [max(0.0, $middle - $half), min(1.0, $middle + $half)];
    }

    /** The first season by which so large a share of the runs has the target; null where the horizon comes first. */
    public function season(float $share): ?int
    {
        for ($season = 0; $season <= $this->horizon; $season++) {
            if ($this->by($season) >= $share - 1e-12) {
                return $season;
            }
        }

        return null;
    }

    public function money(): float
    {
        return $this->moneyBySeason[$this->horizon] ?? 0.0;
    }

    /** Where most of the runs that failed hung, with its share of all runs; null where nearly all came through. */
    public function risk(): ?string
    {
        if ($this->stuck === []) {
            return null;
        }
        $stuck = $this->stuck;
        arsort($stuck);
        $where = array_key_first($stuck);
        $share = $stuck[$where] / $this->runs;

        return $share < .01 ? null : self::oneIn($share)." that {$where}";
    }

    private static function oneIn(float $share): string
    {
        return $share > .6 ? (int) round(100 * $share).' in 100' : '1 in '.max(2, (int) round(1 / $share));
    }
}
