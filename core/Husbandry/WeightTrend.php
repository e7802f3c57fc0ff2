<?php

declare(strict_types=1);

namespace Destino\Husbandry;

use DateTimeImmutable;

/** The line through an animal's weights of the last year (least squares). An estimate, good for a guess of a date. */
final readonly class WeightTrend
{
    private const DAYS_BACK = 365;

    private function __construct(public float $gramsPerDay, private float $gramsNow) {}

    /**
     * @param list<Weighing> $weighings in any order
     * @return self|null null where fewer than two days of the last year have a weight
     */
    public static function of(array $weighings, DateTimeImmutable $today): ?self
    {
        $points = [];
        foreach ($weighings as $weighing) {
            $ago = self::days($weighing->on, $today);
            if ($ago >= 0 && $ago <= self::DAYS_BACK) {
                $points[] = [-$ago, (float) $weighing->grams];
            }
        }
        $n = count($points);
        $meanX = $n === 0 ? 0.0 : array_sum(array_column($points, 0)) / $n;
        $meanY = $n === 0 ? 0.0 : array_sum(array_column($points, 1)) / $n;
        $spread = $covariance = 0.0;
        foreach ($points as [$x, $y]) {
            $spread += ($x - $meanX) ** 2;
            $covariance += ($x - $meanX) * ($y - $meanY);
        }
        if ($spread <= 0.0) {
            return null;
        }
        $slope = $covariance / $spread;

        return new self($slope, $meanY - $slope * $meanX);
    }

    /** @return int|null days from today until the line reaches the weight; null where it does not rise */
    public function daysUntil(int $grams): ?int
    {
        if ($this->gramsNow >= $grams) {
            return 0;
        }

        return $this->gramsPerDay <= 0.0 ? null : (int) ceil(($grams - $this->gramsNow) / $this->gramsPerDay);
    }

    private static function days(DateTimeImmutable $from, DateTimeImmutable $to): int
    {
        $span = $from->setTime(0, 0)->diff($to->setTime(0, 0));

        return $span->invert === 1 ? -$span->days : $span->days;
    }
}
