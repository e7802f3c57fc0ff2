<?php

declare(strict_types=1);

namespace Tests\Core\Season;

use Destino\Season\Warmth;
use PHPUnit\Framework\TestCase;

class WarmthTest extends TestCase
{
    /** @return list<array{float, float}> every two hours */
    private static function steady(float $celsius, float $from, float $to): array
    {
        $readings = [];
        for ($i = 0; $from + $i / 12 < $to; $i++) {
            $readings[] = [$from + $i / 12, $celsius];
        }

        return $readings;
    }

    public function testAtTheStandardADayIsADay(): void
    {
        $warmth = Warmth::over(self::steady(31.5, 0, 40), 40, 25);
        $this->assertEqualsWithDelta([40, 1, 31.5], [$warmth->grown, $warmth->measured, $warmth->mean], 1e-9);
        $this->assertEqualsWithDelta(18, $warmth->daysUntil(58, 31.5), 1e-9);
    }

    public function testOneDegreeLessCostsAboutFiveDays(): void
    {
        $warmth = Warmth::over(self::steady(30.5, 0, 30), 30, 31.5);
        $this->assertEqualsWithDelta(30 * 10.5 / 11.5, $warmth->grown, 1e-9);
        $this->assertEqualsWithDelta(58 * 11.5 / 10.5, 30 + $warmth->daysUntil(58, 30.5), 1e-9);
        $this->assertEqualsWithDelta(5.5, 30 + $warmth->daysUntil(58, 30.5) - 58, .1);
    }

    public function testAGapStandsAtWhatTheIncubatorIsSetTo(): void
    {
        $readings = [...self::steady(31.5, 0, 10), ...self::steady(31.5, 20, 30)];
        $warmth = Warmth::over($readings, 30, 30.0);
        $hold = 10 - 1 / 12 + Warmth::HOLDS; // the last reading before the gap stands for a while
        $this->assertEqualsWithDelta($hold + 10, $warmth->measured * 30, 1e-9);
        $this->assertEqualsWithDelta($hold + 10 + (20 - $hold) * 10 / 11.5, $warmth->grown, 1e-9);
    }

    public function testNothingMeasuredIsTheSetTemperatureThroughout(): void
    {
        $warmth = Warmth::over([], 10, 31.5);
        $this->assertSame([10.0, 0.0, null], [$warmth->grown, $warmth->measured, $warmth->mean]);
        $this->assertSame(0.0, Warmth::over([], 0, 31.5)->grown);
    }

    public function testReadingsBeforeLayingAndAfterTodayCountForNothing(): void
    {
        $inside = Warmth::over(self::steady(31, 0, 10), 10, 31);
        $more = Warmth::over([...self::steady(35, -3, 0), ...self::steady(31, 0, 10), ...self::steady(35, 10, 14)], 10, 31);
        $this->assertEqualsWithDelta($inside->grown, $more->grown, 1e-9);
    }

    public function testEggsInTheColdStandStill(): void
    {
        $warmth = Warmth::over(self::steady(12, 0, 3), 3, 12);
        $this->assertSame(0.0, $warmth->grown);
        $this->assertNull($warmth->daysUntil(58, 15));
    }

    public function testWarmerIsNeverSlower(): void
    {
        $before = -1.0;
        for ($celsius = 15.0; $celsius <= 34.0; $celsius += .25) {
            $grown = Warmth::over(self::steady($celsius, 0, 5), 5, $celsius)->grown;
            $this->assertGreaterThanOrEqual($before, $grown);
            $before = $grown;
        }
        $this->assertGreaterThan(5, $before);
    }
}
