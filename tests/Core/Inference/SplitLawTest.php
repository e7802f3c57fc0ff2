<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Inference\Conclusions\SplitLaw;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The law of how many young of a clutch are of each kind, over what their parents may be. */
final class SplitLawTest extends TestCase
{
    public function testOneCaseAndTwoKindsIsTheBinomialLaw(): void
    {
        $law = new SplitLaw([[0, 0, 1.0]], [[.25], [.75]]);
        $expected = [.17797851562, .35595703125, .29663085937, .13183593750, .03295898437, .00439453125, .00024414062];
        foreach ($expected as $hits => $chance) {
            self::assertEqualsWithDelta($chance, $law->of([$hits, 6 - $hits]), 1e-10, "{$hits} of 6 at 1/4");
        }
        self::assertTrue($law->isEither());
    }

    public function testTheParentsAreTheSameForAllYoung(): void
    {
        // Half of the parents give the gene to half of the young, the others to none: five without it in two ways.
        $law = new SplitLaw([[0, 0, .5], [1, 0, .5]], [[.5, 0.0], [.5, 1.0]]);

        self::assertEqualsWithDelta(.5 * .5 ** 5 + .5, $law->of([0, 5]), 1e-12);
        self::assertEqualsWithDelta(.5 * 5 * .5 ** 5, $law->of([1, 4]), 1e-12);
    }

    public function testAllSplitsTogetherAreOne(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($try = 0; $try < 40; $try++) {
            [$cases, $kinds, $eggs] = self::drawn($random);
            $law = new SplitLaw($cases, $kinds);
            $sum = 0.0;
            foreach (self::splits($eggs, count($kinds)) as $counts) {
                $sum += $law->of($counts);
            }
            self::assertEqualsWithDelta(1.0, $sum, 1e-9);
            self::assertSame(count($kinds) === 2, $law->isEither());
        }
    }

    public function testItIsTheSumOverEveryOrderOfTheYoung(): void
    {
        $random = new Randomizer(new Mt19937(8));
        for ($try = 0; $try < 20; $try++) {
            [$cases, $kinds, $eggs] = self::drawn($random);
            $counts = self::splits($eggs, count($kinds))[$random->getInt(0, count($kinds))];
            $plain = 0.0;
            foreach (self::orders($eggs, count($kinds)) as $order) {
                if (array_map(static fn (int $kind): int => count(array_keys($order, $kind, true)), array_keys($kinds)) === $counts) {
                    foreach ($cases as $case => [, , $weight]) {
                        $plain += $weight * array_product(array_map(static fn (int $kind): float => $kinds[$kind][$case], $order));
                    }
                }
            }
            self::assertEqualsWithDelta($plain, (new SplitLaw($cases, $kinds))->of($counts), 1e-9);
        }
    }

    public function testThreeKindsAreNotAllThatThereIs(): void
    {
        self::assertFalse((new SplitLaw([[0, 0, 1.0]], [[.5], [.25], [.25]]))->isEither());
        self::assertFalse((new SplitLaw([[0, 0, 1.0]], [[.5], [.25]]))->isEither(), 'a look that nobody of these has is left');
        self::assertSame(0.0, (new SplitLaw([[0, 0, 1.0]], [[0.0], [1.0]]))->of([1, 1]));
    }

    /** @return array{list<array{int, int, float}>, list<list<float>>, int} cases, kinds and eggs */
    private static function drawn(Randomizer $random): array
    {
        $many = $random->getInt(1, 3);
        $weights = array_map(static fn (): float => $random->getInt((int) (1000 * .1), 1000) / 1000, range(1, $many));
        $cases = array_map(static fn (float $weight, int $i): array => [$i, 0, $weight / array_sum($weights)], $weights, array_keys($weights));
        $count = $random->getInt(2, 3);
        $kinds = array_fill(0, $count, []);
        for ($case = 0; $case < $many; $case++) {
            $parts = array_map(static fn (): float => $random->getInt((int) (1000 * .05), 1000) / 1000, range(1, $count));
            foreach ($parts as $kind => $part) {
                $kinds[$kind][$case] = $part / array_sum($parts);
            }
        }

        return [$cases, $kinds, $random->getInt(2, 5)];
    }

    /** @return list<list<int>> every way in which so many are shared out among kinds */
    private static function splits(int $eggs, int $kinds): array
    {
        if ($kinds === 1) {
            return [[$eggs]];
        }
        $splits = [];
        for ($first = 0; $first <= $eggs; $first++) {
            foreach (self::splits($eggs - $first, $kinds - 1) as $rest) {
                $splits[] = [$first, ...$rest];
            }
        }

        return $splits;
    }

    /** @return list<list<int>> the kind of each young, in every way */
    private static function orders(int $eggs, int $kinds): array
    {
        $orders = [[]];
        for ($egg = 0; $egg < $eggs; $egg++) {
            $orders = array_merge(...array_map(
                static fn (array $order): array => array_map(static fn (int $kind): array => [...$order, $kind], range(0, $kinds - 1)), $orders,
            ));
        }

        return $orders;
    }
}
