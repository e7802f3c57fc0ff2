<?php

declare(strict_types=1);

namespace Destino\Season;

use InvalidArgumentException;

/**
 * Watches the readings of one kind at one place against its limits: outside for half an hour, or at once where it is far outside or
 * nothing was heard in the half hour before it (read off by hand); a change
 * that is too quick, as when a door stands open or a heater fails; nothing heard for three times the usual interval.
 */
final readonly class Watch
{
    private const HALF_AN_HOUR = 1800;

    private const DAY = 86_400;

    /** A probe whose messages arrive so much later than they say, in seconds, has a wrong clock or was cut off. */
    private const LATE = 6 * 3600;

    /**
     * @param float $low least value that is right
     * @param float $high greatest value that is right
     * @param float $far so far outside is told at once
     * @param float $quick a change of so much within half an hour is told
     */
    public function __construct(public float $low, public float $high, public float $far, public float $quick)
    {
        if (! ($low < $high)) {
            throw new InvalidArgumentException("Limits from {$low} to {$high} leave no room.");
        }
    }

    /** Temperatures in °C: told at once one degree outside, and when they change by 1.5 degrees in half an hour. */
    public static function temperature(float $low, float $high): self
    {
        return new self($low, $high, 1.0, 1.5);
    }

    /** Humidity in percent: told at once 15 outside, and when it changes by 20 in half an hour. */
    public static function humidity(float $low, float $high): self
    {
        return new self($low, $high, 15.0, 20.0);
    }

    /**
     * @param list<array{int, float, int}> $readings second of the reading, value, second in which it arrived; the earliest first
     * @return list<Alarm> the gravest first: drift, jump, silence, clock
     */
    public function alarms(array $readings, int $now): array
    {
        return $readings === [] ? [] : array_values(array_filter([
            $this->drift($readings), $this->jump($readings, $now), self::silence($readings, $now), self::clock($readings),
        ]));
    }

    public function isOutside(float $value): bool
    {
        return $value < $this->low || $value > $this->high;
    }

    /** @param non-empty-list<array{int, float, int}> $readings */
    private function drift(array $readings): ?Alarm
    {
        [$at, $value] = $readings[count($readings) - 1];
        $since = $at;
        for ($i = count($readings) - 1; $i >= 0 && $this->isOutside($readings[$i][1]); $i--) {
            $since = $readings[$i][0];
        }
        $isAlone = $at - ($readings[count($readings) - 2][0] ?? PHP_INT_MIN / 2) > self::HALF_AN_HOUR;
        $isFar = $value < $this->low - $this->far || $value > $this->high + $this->far;

        return $this->isOutside($value) && ($isFar || $isAlone || $at - $since >= self::HALF_AN_HOUR)
            ? new Alarm(AlarmKind::Drift, $since, $value)
            : null;
    }

    /**
     * The quickest change of the last day, between two readings that lie at most half an hour apart.
     *
     * @param non-empty-list<array{int, float, int}> $readings
     */
    private function jump(array $readings, int $now): ?Alarm
    {
        $most = null;
        $from = 0;
        foreach ($readings as $i => [$at, $value]) {
            while ($readings[$from][0] < $at - self::HALF_AN_HOUR) {
                $from++;
            }
            for ($j = $from; $at >= $now - self::DAY && $j < $i; $j++) {
                $change = $value - $readings[$j][1];
                if (abs($change) >= $this->quick && abs($change) > abs($most->value ?? 0.0)) {
                    $most = new Alarm(AlarmKind::Jump, $at, $change);
                }
            }
        }

        return $most;
    }

    /** @param non-empty-list<array{int, float, int}> $readings */
    private static function silence(array $readings, int $now): ?Alarm
    {
        $between = [];
        foreach (array_slice($readings, 1) as $i => [$at]) {
            $between[] = $at - $readings[$i][0];
        }
        sort($between);
        $usual = $between === [] ? self::DAY : $between[intdiv(count($between), 2)];
        $last = $readings[count($readings) - 1][0];

        return $now - $last > max(3600, 3 * $usual) ? new Alarm(AlarmKind::Silence, $last, ($now - $last) / 3600) : null;
    }

    /** @param non-empty-list<array{int, float, int}> $readings */
    private static function clock(array $readings): ?Alarm
    {
        [$at, , $arrived] = $readings[count($readings) - 1];

        return $arrived - $at > self::LATE ? new Alarm(AlarmKind::Clock, $at, ($arrived - $at) / 3600) : null;
    }
}
