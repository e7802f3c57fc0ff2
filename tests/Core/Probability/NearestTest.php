<?php

declare(strict_types=1);

namespace Tests\Core\Probability;

use Destino\Probability\InvalidNumber;
use Destino\Probability\LuckAlternatives;
use Destino\Probability\NearestFraction;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;

/** Fractions out of doubles, and bad luck against its alternatives. */
final class NearestTest extends TestCase
{
    public function testEverySimpleFractionIsFoundAgain(): void
    {
        for ($denominator = 1; $denominator <= 200; $denominator++) {
            for ($numerator = 0; $numerator <= $denominator; $numerator += 7) {
                $fraction = Rational::of($numerator, $denominator);
                self::assertSame($fraction->toString(), NearestFraction::of($fraction->toFloat(), 1e-12)->toString());
            }
        }
        self::assertSame('-3/7', NearestFraction::of(-3 / 7, 1e-12)->toString());
    }

    public function testWhatIsNoSimpleFractionIsNear(): void
    {
        foreach ([M_PI / 4, sqrt(.5), 1 / exp(1), 1e-9, 1 - 1e-9] as $number) {
            self::assertEqualsWithDelta($number, NearestFraction::of($number, 1e-12)->toFloat(), 1e-12);
        }
        self::assertSame('22/7', NearestFraction::of(M_PI, .002)->toString());
    }

    public function testLuckAgainstItsAlternatives(): void
    {
        $half = new LuckAlternatives(Rational::of(1, 2), Rational::of(1, 10), Rational::of(1, 10));
        // 8/10 · 1/16, 1/10, 1/10 · (3/4)⁴ with hidden hits at 1/4 an egg.
        $after = $half->after(4, 0);
        $sum = .05 + .1 + .1 * .75 ** 4;
        self::assertEqualsWithDelta(.1 / $sum, $after[LuckAlternatives::NOT_CARRIED]->toFloat(), 1e-12);
        self::assertEqualsWithDelta(.05 / $sum, $after[LuckAlternatives::RIGHT]->toFloat(), 1e-12);
        self::assertTrue($half->after(4, 1)[LuckAlternatives::NOT_CARRIED]->isZero(), 'one hit settles it');
        self::assertSame('4/5', $half->after(0, 0)[LuckAlternatives::RIGHT]->toString(), 'before any egg');
        $certain = new LuckAlternatives(Rational::one(), Rational::zero(), Rational::zero());
        self::assertSame(
            ['0', '0', '0'],
            array_values(array_map(static fn (Rational $one): string => $one->toString(), $certain->after(3, 1))),
            'what cannot be is no luck',
        );
        $this->expectException(InvalidNumber::class);
        new LuckAlternatives(Rational::of(1, 6), Rational::of(1, 2), Rational::of(1, 2));
    }
}
