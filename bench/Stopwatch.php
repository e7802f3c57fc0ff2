<?php

namespace Bench;

/** Measures a piece of work. */
class Stopwatch
{
    /** The best of several runs, after a warm one. */
    public static function milliseconds(callable $work, int $runs = 15): float
    {
        $work();
        $best = INF;
        for ($i = 0; $i < $runs; $i++) {
            $start = self::processor();
            $work();
            $best = min($best, self::processor() - $start);
        }

        return $best;
    }

    /**
     * Two commands in turn, so that a slow moment of the machine meets both.
     *
     * @return array{float, float} the median of each, in milliseconds
     */
    public static function alternately(string $one, string $other, int $runs = 15): array
    {
        $times = [[], []];
        for ($i = 0; $i < $runs; $i++) {
            foreach ([$one, $other] as $k => $command) {
                $start = hrtime(true);
                exec($command.' > /dev/null 2>&1');
                $times[$k][] = (hrtime(true) - $start) / 1e6;
            }
        }
        sort($times[0]);
        sort($times[1]);

        return [$times[0][intdiv($runs, 2)], $times[1][intdiv($runs, 2)]];
    }

    /** Milliseconds of processor time of this process so far. */
    public static function processor(): float
    {
        $used = (array) getrusage();

        return array_sum(array_map(
            static fn (string $kind): float => $used["ru_{$kind}.tv_sec"] * 1e3 + $used["ru_{$kind}.tv_usec"] / 1e3, ['utime', 'stime'],
        ));
    }
}
