<?php

declare(strict_types=1);

namespace Destino\Season;

/**
 * How far eggs have come by the warmth that was measured: a linear model of degree-days. Eggs at 31.5 °C come on by one day a
 * day; at 20 °C they stand still, and between and beyond in proportion. So one degree less costs about five days: 58 days at
 * 31.5 °C are 63 at 30.5. An assumption, fitted to that one figure and to what keepers tell of cooler boxes; it holds from about
 * 28 to 33 °C, and a collection's own hatches move the mean that it starts from.
 */
final readonly class Warmth
{
    public const STANDARD = 31.5;

    public const STILL = 20.0;

    /** For so long a reading stands for what follows it, in days. */
    public const HOLDS = .25;

    /**
     * @param float $grown days at the standard temperature that come to the same
     * @param float $passed days
     * @param float $measured share of these of which a reading tells, 0 to 1
     * @param float|null $mean °C while it was measured; null where nothing was
     */
    private function __construct(public float $grown, public float $passed, public float $measured, public ?float $mean) {}

    /**
     * @param list<array{float, float}> $readings days since laying and °C, the earliest first
     * @param float $passed days since laying
     * @param float $otherwise °C where nothing is measured: what the incubator is set to
     */
    public static function over(array $readings, float $passed, float $otherwise): self
    {
        $covered = $grown = $heat = 0.0;
        foreach ($readings as $i => [$at, $celsius]) {
            $until = min($passed, $at + self::HOLDS, $readings[$i + 1][0] ?? INF);
            $span = max(0.0, $until - max(0.0, $at));
            $covered += $span;
            $heat += $span * $celsius;
            $grown += $span * self::rate($celsius);
        }
        $grown += max(0.0, $passed - $covered) * self::rate($otherwise);

        return new self($grown, $passed, $passed > 0 ? min(1.0, $covered / $passed) : 0.0, $covered > 0 ? $heat / $covered : null);
    }

    /** Days at the standard temperature in one day at another; never less than nothing. */
    public static function rate(float $celsius): float
    {
        return max(0.0, ($celsius - self::STILL) / (self::STANDARD - self::STILL));
    }

    /**
     * In how many days from now a day of a window at the standard temperature comes, at a temperature that stays.
     *
     * @return float|null null where it never comes, since the eggs stand still
     */
    public function daysUntil(float $standard, float $celsius): ?float
    {
        $left = $standard - $this->grown;
        $rate = self::rate($celsius);

        return $left <= 0.0 ? 0.0 : ($rate > 0.0 ? $left / $rate : null);
    }
}
