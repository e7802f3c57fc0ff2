<?php

namespace Bench;

/** Measures a piece of work: the best of several runs, after a warm one. */
class Stopwatch
{
    public static function milliseconds(callable $work, int $runs = 15): float
    {
        $work();
        $best = INF;
        for ($i = 0; $i < $runs; $i++) {
            $start = hrtime(true);
            $work();
            $best = min($best, (hrtime(true) - $start) / 1e6);
        }

        return $best;
    }

    public static function command(string $command, int $runs = 9): float
    {
        return self::milliseconds(fn () => exec($command.' > /dev/null 2>&1'), $runs);
    }
}
