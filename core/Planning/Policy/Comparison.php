<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** Two keepers in the same runs: how much oftener and sooner one has the target than the other. */
final class Comparison
{
    /**
     * How much oftener one keeper has the target than another in the same runs, and the standard error: only runs in which
     * they differ count, whichever way.
     *
     * @param list<int|null> $one season in which it was reached, by run
     * @param list<int|null> $other
     * @return array{float, float}
     */
    public static function difference(array $one, array $other): array
    {
        return self::mean(array_map(static fn (?int $a, ?int $b): int => ($a === null ? 0 : 1) - ($b === null ? 0 : 1), $one, $other));
    }

    /**
     * How many seasons sooner one has it than another, on average; what never comes counts as the season after the horizon.
     *
     * @param list<int|null> $one season in which it was reached, by run
     * @param list<int|null> $other
     * @return array{float, float} seasons and their standard error
     */
    public static function sooner(array $one, array $other, int $horizon): array
    {
        return self::mean(array_map(static fn (?int $a, ?int $b): int => ($b ?? $horizon + 1) - ($a ?? $horizon + 1), $one, $other));
    }

    /**
     * @param list<int> $differences by run
     * @return array{float, float} mean and standard error
     */
    private static function mean(array $differences): array
    {
        $runs = count($differences);
        $mean = (float) array_sum($differences) / $runs;
        $squares = array_sum(array_map(static fn (int $one): int => $one ** 2, $differences));

        return [$mean, sqrt(max(0.0, $squares / $runs - $mean ** 2) / $runs)];
    }
}
