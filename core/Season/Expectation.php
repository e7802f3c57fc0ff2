<?php

declare(strict_types=1);

namespace Destino\Season;

/**
 * When something that follows is to be expected: a normal distribution of days, narrowed by records (normal means with known
 * deviations). What others in the collection took moves the mean that every female starts from, each time with variance
 * within² + between²; what she took herself moves her own mean, each time with variance within². The window is that of the
 * next time, given that it has not come yet.
 */
final readonly class Expectation
{
    /** Standard deviations to either side of the middle of nine tenths. */
    private const NINE_TENTHS = 1.6448536;

    private function __construct(public float $mean, public float $deviation, public int $own, public int $others) {}

    /**
     * @param list<int> $own days that she took before
     * @param list<int> $others days that others of the collection took
     */
    public static function of(Gap $gap, array $own = [], array $others = []): self
    {
        $between = $gap->between ** 2;
        $within = $gap->within ** 2;
        [$mean, $spread] = self::updated($gap->mean, $between, $others, $within + $between);
        [$mean, $spread] = self::updated($mean, $spread + ($others === [] ? 0.0 : $between), $own, $within);

        return new self($mean, sqrt($spread + $within), count($own), count($others));
    }

    /**
     * @param list<int> $seen
     * @return array{float, float} mean and variance
     */
    private static function updated(float $mean, float $variance, array $seen, float $noise): array
    {
        if ($seen === []) {
            return [$mean, $variance];
        }
        $precision = 1 / $variance + count($seen) / $noise;

        return [($mean / $variance + array_sum($seen) / $noise) / $precision, 1 / $precision];
    }

    /** P(it has come after so many days). */
    public function chanceBy(float $days): float
    {
        return self::normal(($days + .5 - $this->mean) / $this->deviation);
    }

    /** P(it comes within so many days more | it has not come after so many). */
    public function chanceWithin(float $passed, float $more): float
    {
        $left = 1 - $this->chanceBy($passed);

        return $left < 1e-9 ? 1.0 : ($this->chanceBy($passed + $more) - $this->chanceBy($passed)) / $left;
    }

    /**
     * The middle nine tenths, in days from the beginning; what has passed without it is left out.
     *
     * @return array{int, int}
     */
    public function window(int $passed = 0): array
    {
        $from = (int) round($this->mean - self::NINE_TENTHS * $this->deviation);
        $to = (int) round($this->mean + self::NINE_TENTHS * $this->deviation);
        if ($passed <= $from) {
            return [$from, $to];
        }
        $last = max($to, $passed);
        while ($this->chanceWithin($passed, $last - $passed) < .95 && $last < $passed + 30) {
            $last++;
        }

        return [$passed, $last];
    }

    /** Whether it is later than nineteen of twenty. */
    public function isOverdue(int $passed): bool
    {
        return $passed > $this->mean + self::NINE_TENTHS * $this->deviation;
    }

    /** The normal distribution, by Abramowitz and Stegun 7.1.26; within 1.5e-7. */
    private static function normal(float $z): float
    {
        $x = abs($z) / M_SQRT2;
        $t = 1 / (1 + .3275911 * $x);
        $erf = 1 - ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - .284496736) * $t + .254829592) * $t * exp(-$x * $x);

        return $z < 0 ? (1 - $erf) / 2 : (1 + $erf) / 2;
    }
}
