<?php

declare(strict_types=1);

namespace Tests\Core\Probability;

use Destino\Probability\InvalidNumber;
use Destino\Probability\Probability;
use Destino\Probability\Rational;
use Destino\Probability\Weights;
use PHPUnit\Framework\TestCase;

final class WeightsTest extends TestCase
{
    public function testEqualKeysAddUpAndNothingIsKeptOfWhatWeighsNothing(): void
    {
        $weights = self::weights(['a' => [1, 4], 'b' => [1, 2]]);
        $weights->add('a', 'A', Rational::of(1, 4));
        $weights->add('c', 'C', Rational::zero());
        self::assertSame(['a' => '1/2', 'b' => '1/2'], self::texts($weights->sums()));
        self::assertTrue(self::weights([])->isEmpty());
        self::assertFalse($weights->isEmpty());
        self::assertSame('A', $weights->entries()['a'][0]);
    }

    public function testMergingTimesAFactorIsAddingEach(): void
    {
        $weights = self::weights(['a' => [1, 3]]);
        $weights->merge(self::weights(['a' => [1, 3], 'b' => [1, 5]]), Rational::of(1, 2));
        $weights->merge(self::weights(['b' => [1, 10]]));
        self::assertSame(['a' => '1/2', 'b' => '1/5'], self::texts($weights->sums()));
        self::assertSame('7/10', $weights->total()->toString());
    }

    public function testSharesAreInProportionAndOneInAll(): void
    {
        $weights = self::weights(['a' => [2, 1], 'b' => [1, 2], 'c' => [1, 2]]);
        self::assertSame(['a' => '2/3', 'b' => '1/6', 'c' => '1/6'], self::texts($weights->shares()));
        self::assertSame('1', Weights::sum($weights->shares())->toString());
        self::assertSame('2/3', $weights->normalised()->probabilityOf('a')->toString());
        self::assertSame([], self::weights([])->shares());
    }

    public function testOnlyWhatIsAskedForIsLeft(): void
    {
        $weights = self::weights(['a' => [1, 2], 'b' => [1, 2]]);
        self::assertSame(['b'], array_keys($weights->where(static fn (string $value): bool => $value === 'B')->entries()));
        self::assertCount(2, $weights->entries(), 'the whole is as it was');
    }

    public function testNothingCannotBeMadeADistribution(): void
    {
        $this->expectException(InvalidNumber::class);
        self::weights([])->normalised();
    }

    public function testANegativeWeightIsRefusedWithItsKey(): void
    {
        $weights = self::weights(['a' => [3, 2], 'b' => [-1, 2]]);
        try {
            $weights->normalised();
            self::fail('a distribution with a negative chance');
        } catch (InvalidNumber $error) {
            self::assertSame(['key' => 'b', 'weight' => '-1/2'], $error->facts);
        }
    }

    public function testAProbabilityLiesBetweenNeverAndAlways(): void
    {
        self::assertSame('1/3', Probability::ratio(2, 6)->toString());
        self::assertSame('1/8', Probability::typed('12.5 %')->toString());
        foreach (['1 in 16' => '1/16', ' 3 out of 8 ' => '3/8', 'about 1 in 6.4' => '5/32', '.06' => '3/50', ',5' => '1/2', '0 in 4' => '0'] as $text => $is) {
            self::assertSame($is, Probability::typed($text)->toString(), $text);
        }
        self::assertTrue(Probability::one()->isOne());
        self::assertTrue(Probability::zero()->isZero());
        $same = Probability::ratio(1, 7);
        self::assertSame($same, Probability::from($same));
        $refused = [];
        foreach (['1 in 0', '3 in 2', '1 in', 'in 4', '1 in 4 in 4'] as $text) {
            try {
                self::fail("read as a chance: {$text}, ".Probability::typed($text)->toString());
            } catch (InvalidNumber $error) {
                $refused[] = $error->getMessage();
            }
        }
        self::assertCount(5, $refused);
        $refused = [];
        foreach ([Rational::of(-1, 9), Rational::of(10, 9), Rational::of(9)] as $number) {
            try {
                Probability::from($number);
            } catch (InvalidNumber $error) {
                $refused[] = $error->facts['value'];
            }
        }
        self::assertSame(['-1/9', '10/9', '9'], $refused);
    }

    public function testAProbabilityComputesAsTheNumberThatItIs(): void
    {
        self::assertTrue(Probability::ratio(1, 3)->equals(Rational::of(1, 3)));
        self::assertSame('2/3', Probability::ratio(1, 3)->complement()->toString());
        $long = Rational::of(1, 3)->power(80);
        self::assertSame($long->toString(), Probability::from($long)->toString(), 'numbers beyond the native integers too');
    }

    public function testANumberHasOneFormWhereverItComesFrom(): void
    {
        $big = 2 ** 62;
        foreach ([$big, $big + 1, PHP_INT_MAX, -PHP_INT_MAX, $big - 1] as $number) {
            $counted = Rational::of($number);
            $read = Rational::parse((string) $number.'/1');
            self::assertEquals($counted, $read, "{$number}, counted and read");
            self::assertEquals($counted, $counted->times(Rational::of(3, 7))->times(Rational::of(7, 3)));
            self::assertEquals(Rational::of(1)->dividedBy($counted), Rational::parse('1')->dividedBy($read));
        }
        $beyond = Rational::of(PHP_INT_MAX)->plus(Rational::one());
        self::assertSame('9223372036854775808', $beyond->toString());
        self::assertEquals(Rational::of(PHP_INT_MAX), $beyond->minus(Rational::one()));
        self::assertSame('-9223372036854775808', $beyond->negated()->toString());
        self::assertEquals(Rational::parse('-9223372036854775808/1'), Rational::of(PHP_INT_MIN));
    }

    /**
     * @param array<string, array{int, int}> $fractions by key
     * @return Weights<string> each standing for its key in capitals
     */
    private static function weights(array $fractions): Weights
    {
        return Weights::of(
            array_map(
                static fn (string $key, array $one): array => [$key, strtoupper($key), Rational::of(...$one)],
                array_keys($fractions), $fractions,
            ),
        );
    }

    /**
     * @param array<array-key, Rational> $numbers
     * @return array<array-key, string>
     */
    private static function texts(array $numbers): array
    {
        return array_map(static fn (Rational $number): string => $number->toString(), $numbers);
    }
}
