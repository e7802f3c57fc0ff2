<?php

declare(strict_types=1);

namespace Tests\Core\Season;

use Destino\Season\Expectation;
use Destino\Season\Gap;
use PHPUnit\Framework\TestCase;

final class ExpectationTest extends TestCase
{
    public function testWithoutRecordsItIsWhatKeepersSay(): void
    {
        self::assertSame([14, 21], Expectation::of(Gap::ovulationToShed())->window());
        self::assertSame([28, 32], Expectation::of(Gap::shedToLaying())->window());
        self::assertSame([53, 62], Expectation::of(Gap::layingToPip())->window());
        self::assertSame([7, 14], Expectation::of(Gap::hatchToShed())->window());
    }

    public function testHerOwnRecordNarrowsAndMovesTheWindow(): void
    {
        $usual = Expectation::of(Gap::layingToPip());
        $own = Expectation::of(Gap::layingToPip(), [60, 61, 60]);
        self::assertGreaterThan($usual->mean, $own->mean);
        self::assertLessThan(60.4, $own->mean, 'drawn back to the usual');
        self::assertLessThan($usual->deviation, $own->deviation);
        self::assertSame([3, 0], [$own->own, $own->others]);
    }

    public function testThePosteriorIsThatOfTheNormalLaw(): void
    {
        // One record of 60 days: precision 1/1.9² + 1/1.9², the mean halfway.
        $one = Expectation::of(Gap::layingToPip(), [60]);
        self::assertEqualsWithDelta(58.75, $one->mean, 1e-9);
        self::assertEqualsWithDelta(sqrt(1.9 ** 2 / 2 + 1.9 ** 2), $one->deviation, 1e-9);
    }

    public function testRecordsOfOthersCountLessThanHerOwn(): void
    {
        $others = Expectation::of(Gap::layingToPip(), [], [61, 61]);
        $own = Expectation::of(Gap::layingToPip(), [61, 61]);
        self::assertGreaterThan(57.5, $others->mean);
        self::assertLessThan($own->mean, $others->mean);
        self::assertLessThan($others->deviation, $own->deviation);
    }

    public function testFemalesDifferFromOneAnother(): void
    {
        // Two records of others, each with variance 2 · 1.9²: the mean that a female starts from is halfway, sure to 1.9²/2; her own
        // mean lies about it with 1.9² more.
        $others = Expectation::of(Gap::layingToPip(), [], [61, 61]);
        self::assertEqualsWithDelta(59.25, $others->mean, 1e-9);
        self::assertEqualsWithDelta(1.9 * sqrt(.5 + 1 + 1), $others->deviation, 1e-9);
        // One of her own, 1.9² about her mean, weighs 3 : 2 against that.
        $own = Expectation::of(Gap::layingToPip(), [60], [61, 61]);
        self::assertEqualsWithDelta((2 * 59.25 + 3 * 60) / 5, $own->mean, 1e-9);
        self::assertEqualsWithDelta(1.9 * sqrt(.6 + 1), $own->deviation, 1e-9);
    }

    public function testWhatHasPassedWithoutItIsLeftOut(): void
    {
        $pips = Expectation::of(Gap::layingToPip());
        [$from, $to] = $pips->window(60);
        self::assertSame(60, $from);
        self::assertGreaterThan(60, $to);
        self::assertFalse($pips->isOverdue(61));
        self::assertTrue($pips->isOverdue(63));
        self::assertGreaterThan(.95, $pips->chanceWithin(60, 7));
        self::assertLessThan(.05, $pips->chanceWithin(30, 7));
    }

    public function testChancesRiseToOne(): void
    {
        $pips = Expectation::of(Gap::layingToPip());
        $last = -1.0;
        for ($day = 40; $day < 80; $day++) {
            self::assertGreaterThanOrEqual($last, $last = $pips->chanceBy($day));
        }
        self::assertEqualsWithDelta(.5, $pips->chanceBy(57), 1e-6, 'half by the mean');
        self::assertGreaterThan(.999, $last);
    }
}
