<?php

declare(strict_types=1);

namespace Tests\Core\Probability;

use Destino\Probability\Binomial;
use Destino\Probability\ClutchChance;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Luck;
use Destino\Probability\Rational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClutchChanceTest extends TestCase
{
    public function testAClutchConditionsOnItsParents(): void
    {
        // A 66 % het with a visual mate: 2/3·(1 − 1/2⁶), not 1 − (1 − 1/3)⁶.
        $chance = ClutchChance::ofCases([[Rational::of(2, 3), Rational::of(1, 2)], [Rational::of(1, 3), Rational::zero()]]);
        self::assertSame('1/3', $chance->perEgg()->toString());
        self::assertSame('21/32', $chance->atLeastOne(6)->toString());
        self::assertSame('2', $chance->expected(6)->toString());
        self::assertSame('19/32', $chance->atLeastTwo(6)->toString());
    }

    /** @return iterable<string, array{list<array{string, string}>, int, int|null}> */
    public static function ladders(): iterable
    {
        yield 'one half is reached by one egg at 1/2' => [[['1', '1/2']], 50, 1];
        yield '1/8 needs 18 eggs for 90 %' => [[['1', '1/8']], 90, 18];
        yield '1/8 needs 35 eggs for 99 %' => [[['1', '1/8']], 99, 35];
        yield 'a sure thing needs one' => [[['1', '1']], 99, 1];
        yield 'never comes' => [[['1', '0']], 50, null];
        yield 'a 66 % het passes one half' => [[['2/3', '1/2'], ['1/3', '0']], 50, 2];
        yield 'a 66 % het never passes 90 %' => [[['2/3', '1/2'], ['1/3', '0']], 90, null];
        yield 'a ceiling that is only approached' => [[['1/2', '1/2'], ['1/2', '0']], 50, null];
        yield 'a ceiling that is touched' => [[['1/2', '1'], ['1/2', '0']], 50, 1];
        yield 'one in a million, in doubles' => [[['1', '1/1048576']], 50, 726_818];
    }

    /** @param list<array{string, string}> $cases */
    #[DataProvider('ladders')]
    public function testEggsForALevel(array $cases, int $level, ?int $eggs): void
    {
        $chance = ClutchChance::ofCases(
            array_map(static fn (array $case): array => [Rational::parse($case[0]), Rational::parse($case[1])], $cases),
        );
        self::assertSame($eggs, $chance->eggsFor(Rational::of($level, 100)));
    }

    public function testTheBinomialLawSumsToOneAndItsTailsMeet(): void
    {
        foreach (['1/6', '0', '1', '93/200'] as $chance) {
            $law = new Binomial(13, Rational::parse($chance));
            $sum = Rational::zero();
            foreach (range(0, 13) as $hits) {
                $sum = $sum->plus($law->exactly($hits));
                self::assertSame($sum->toString(), $law->atMost($hits)->toString());
                self::assertSame('1', $law->atMost($hits)->plus($law->atLeast($hits + 1))->toString());
            }
            self::assertSame('1', $sum->toString());
        }
    }

    public function testNoHitInFortyEggsAtOneSixth(): void
    {
        $luck = new Luck(Rational::of(1, 6), 40, 0);
        self::assertSame(Rational::of(5, 6)->power(40)->toString(), $luck->atMost()->toString());
        self::assertEqualsWithDelta(1469.77, $luck->oneIn()?->toFloat(), 0.01);
        self::assertTrue($luck->isBelowExpected());
    }

    public function testAnImpossibleResultHasNoOdds(): void
    {
        self::assertNull((new Luck(Rational::zero(), 5, 1))->oneIn());
        $this->expectException(InvalidNumber::class);
        $this->expectExceptionMessage('7 hits cannot come from 6 eggs.');
        new Luck(Rational::of(1, 2), 6, 7);
    }
}
