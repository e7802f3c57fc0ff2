<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Destino\Probability\Rational;
use Destino\Training\Leitner;
use Destino\Training\OddsDrill;
use PHPUnit\Framework\TestCase;

final class TrainingTest extends TestCase
{
    public function testWhatIsKnownWaitsLongerAndWhatIsNotStartsAgain(): void
    {
        $box = 0;
        $waits = [];
        for ($i = 0; $i < 7; $i++) {
            $box = Leitner::after($box, true);
            $waits[] = Leitner::days($box);
        }
        self::assertSame([1, 3, 7, 16, 35, 35, 35], $waits);
        self::assertTrue(Leitner::isLast($box));
        self::assertSame(0, Leitner::after($box, false));
        self::assertSame(0, Leitner::days(0), 'asked again the same day');
        self::assertFalse(Leitner::isLast(0));
    }

    public function testEveryDrillHasOneRightAnswerAmongDifferentOnes(): void
    {
        for ($number = 0; $number < OddsDrill::count(); $number++) {
            foreach (range(1, 30) as $seed) {
                $drill = OddsDrill::of($number, $seed);
                self::assertCount(4, array_unique($drill->options), $drill->asks);
                self::assertArrayHasKey($drill->answer, $drill->options);
                self::assertStringNotContainsString('%d', $drill->asks.$drill->why);
                foreach ($drill->options as $option) {
                    self::assertLessThanOrEqual(0, Rational::parse($option)->compareTo(Rational::one()));
                }
            }
        }
    }

    public function testTheAnswersAreThoseOfTheSquares(): void
    {
        $right = static fn (int $number, int $seed): string
            => OddsDrill::of($number, $seed)->options[OddsDrill::of($number, $seed)->answer];
        foreach (range(1, 12) as $seed) {
            preg_match('/(\d) recessive/', OddsDrill::of(0, $seed)->asks, $found);
            self::assertSame('1/'.(4 ** (int) $found[1]), $right(0, $seed));
            preg_match('/(\d) recessive/', OddsDrill::of(1, $seed)->asks, $found);
            self::assertSame('1/'.(2 ** (int) $found[1]), $right(1, $seed));
            self::assertSame(['2/3', '1/2', '0'], [$right(2, $seed), $right(3, $seed), $right(5, $seed)]);
        }
    }
}
