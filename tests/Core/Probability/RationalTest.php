<?php

declare(strict_types=1);

namespace Tests\Core\Probability;

use Destino\Probability\InvalidNumber;
use Destino\Probability\Rational;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RationalTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string, string}> */
    public static function typedNumbers(): iterable
    {
        yield 'a fraction in lowest terms' => ['6/12', '1/2'];
        yield 'a percentage' => ['25%', '1/4'];
        yield 'a percentage with a comma' => ['12,5 %', '1/8'];
        yield 'a decimal' => ['0.125', '1/8'];
        yield 'a whole number' => ['1', '1'];
        yield 'a negative one keeps its sign above the line' => ['3/-4', '!'];
        yield 'more digits than an integer holds' => ['1/123456789012345678901234567890', '1/123456789012345678901234567890'];
        yield 'words' => ['half', '!'];
        yield 'nothing' => ['', '!'];
        yield 'a zero below the line' => ['1/0', '!'];
        yield 'far too long' => [str_repeat('1', 80), '!'];
    }

    #[DataProvider('typedNumbers')]
    public function testReadsWhatPeopleType(string $typed, string $read): void
    {
        try {
            self::assertSame($read, Rational::parse($typed)->toString());
        } catch (InvalidNumber) {
            self::assertSame('!', $read);
        }
    }

    public function testOverflowFallsOverToBigNumbersAndBack(): void
    {
        $third = Rational::of(1, 3);
        $power = $third->power(60);
        self::assertSame('1/'.bcpowLike(3, 60), $power->toString());
        self::assertSame('1', $power->dividedBy($third->power(60))->toString());
        $product = Rational::of(PHP_INT_MAX, 2)->times(Rational::of(PHP_INT_MAX, 3))->times(Rational::of(6, PHP_INT_MAX));
        self::assertSame((string) PHP_INT_MAX, $product->toString());
        self::assertSame('-9223372036854775808', Rational::of(PHP_INT_MIN)->toString());
    }

    public function testAFloatOfHugeNumbersKeepsItsDigits(): void
    {
        $value = Rational::of(999_999, 1_000_000)->power(400);
        self::assertEqualsWithDelta(exp(400 * log1p(-1e-6)), $value->toFloat(), 1e-15);
        self::assertSame(0.0, Rational::of(1, 7)->power(900)->toFloat());
    }

    public function testObeysTheLawsOfArithmetic(): void
    {
        $number = Generators::map(
            static fn (array $parts): Rational => Rational::of($parts[0], $parts[1]),
            Generators::tuple(Generators::choose(-3_000_000_000, 3_000_000_000), Generators::choose(1, 4_000_000_000)),
        );
        $this->forAll($number, $number, $number)->then(function (Rational $a, Rational $b, Rational $c): void {
            self::assertSame($a->plus($b)->toString(), $b->plus($a)->toString());
            self::assertSame($a->times($b->plus($c))->toString(), $a->times($b)->plus($a->times($c))->toString());
            self::assertSame($a->toString(), $a->plus($b)->minus($b)->toString());
            self::assertSame($a->minus($b)->isNegative(), $a->compareTo($b) < 0);
            self::assertSame(
                $a->toString(),
                Rational::parse(str_replace('-', '', $a->toString()))->times(Rational::of($a->isNegative() ? -1 : 1))->toString(),
            );
        });
    }

    public function testTheLogarithmOfWhatNoFloatHolds(): void
    {
        $large = Rational::one();
        for ($i = 0; $i < 900; $i++) {
            $large = $large->times(Rational::of(7));
        }
        self::assertEqualsWithDelta(900 * log(7), $large->log(), 1e-9);
        self::assertEqualsWithDelta(-900 * log(7), Rational::one()->dividedBy($large)->log(), 1e-9);
        self::assertEqualsWithDelta(log(3), $large->times(Rational::of(3))->dividedBy($large)->log(), 1e-12);
        self::assertSame(-INF, Rational::zero()->log());
    }

    public function testPercentagesRoundHalfUp(): void
    {
        self::assertSame('66.67', Rational::of(2, 3)->toPercent(2));
        self::assertSame('13', Rational::of(1, 8)->toPercent());
        self::assertSame('100', Rational::one()->toPercent());
    }
}

/** An integer power as text, by plain long multiplication: a second way to the same digits. */
function bcpowLike(int $base, int $exponent): string
{
    $digits = [1];
    for ($i = 0; $i < $exponent; $i++) {
        $carry = 0;
        foreach ($digits as $k => $digit) {
            $carry += $digit * $base;
            $digits[$k] = $carry % 10;
            $carry = intdiv($carry, 10);
        }
        for (; $carry > 0; $carry = intdiv($carry, 10)) {
            $digits[] = $carry % 10;
        }
    }

    return strrev(implode('', $digits));
}
