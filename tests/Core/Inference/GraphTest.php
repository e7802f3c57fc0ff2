<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Draw;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Inference\Graph\Factor;
use Destino\Inference\Graph\Order;
use Destino\Inference\Graph\Sampler;
use Destino\Inference\Graph\Scope;
use Destino\Inference\Graph\TooWide;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Graphs of chances against the sum over all combinations of values. */
final class GraphTest extends TestCase
{
    /** Graphs that are drawn, each small enough to be written out. */
    private const GRAPHS = 60;

    public function testAPlaceIsMadeOfThePartOfEachVariable(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $looked = 0;
        for ($round = 0; $round < 400; $round++) {
            $variables = $chance->shuffleArray(range(1, $chance->getInt(1, 5)));
            $sizes = array_combine($variables, array_map(static fn (): int => $chance->getInt(1, 4), $variables));
            $scope = new Scope($variables, $sizes);
            $some = array_values(array_filter($variables, static fn (): bool => $chance->getInt(0, 1) === 1));
            $onto = new Scope($round % 2 === 0 ? $some : $chance->shuffleArray($some), $sizes);
            $keys = array_values(array_filter(range(0, (int) $scope->size - 1), static fn (): bool => $chance->getInt(0, 9) > 0));
            $expected = [];
            foreach ($keys as $key) {
                $place = 0;
                foreach ($onto->strides as $variable => $stride) {
                    $place += intdiv($key, $scope->strides[$variable]) % $sizes[$variable] * $stride;
                }
                $expected[] = $place;
                $looked++;
            }
            self::assertSame($expected, $scope->places($keys, $onto->strides));
        }
        self::assertGreaterThan(5000, $looked);
    }

    public function testEveryVariableHasWhatTheSumOverAllCombinationsGives(): void
    {
        $possible = 0;
        for ($seed = 1; $seed <= self::GRAPHS; $seed++) {
            [$sizes, $factors] = self::graph($seed);
            $plain = self::plain($sizes, $factors);
            $exact = (new Elimination($sizes, $factors, self::order($sizes, $factors), new Exact))->run();
            $doubles = (new Elimination($sizes, $factors, self::order($sizes, $factors), new Doubles))->run();
            self::assertSame($plain['total'] > 0.0, $exact->isPossible(), "graph {$seed}");
            self::assertSame($exact->isPossible(), $doubles->isPossible(), "graph {$seed}");
            if ($plain['total'] <= 0.0) {
                continue;
            }
            $possible++;
            self::assertEqualsWithDelta(log($plain['total']), $exact->logEvidence, 1e-9, "graph {$seed}");
            self::assertEqualsWithDelta(log($plain['total']), $doubles->logEvidence, 1e-9, "graph {$seed}");
            foreach ($sizes as $variable => $size) {
                $sum = Rational::zero();
                for ($value = 0; $value < $size; $value++) {
                    $expected = ($plain['single'][$variable][$value] ?? 0.0) / $plain['total'];
                    self::assertEqualsWithDelta($expected, $exact->of[$variable][$value]->toFloat(), 1e-12, "graph {$seed}: {$variable} = {$value}");
                    self::assertEqualsWithDelta($expected, $doubles->of[$variable][$value]->toFloat(), 1e-9, "graph {$seed}: {$variable} = {$value}");
                    $sum = $sum->plus($exact->of[$variable][$value]);
                }
                self::assertSame('1', $sum->toString(), "graph {$seed}: {$variable}");
            }
        }
        self::assertGreaterThan(self::GRAPHS / 2, $possible);
    }

    public function testTwoVariablesOfOneTableHaveTheirJointChances(): void
    {
        $compared = 0;
        for ($seed = 1; $seed <= self::GRAPHS; $seed++) {
            [$sizes, $factors] = self::graph($seed);
            $plain = self::plain($sizes, $factors);
            $elimination = new Elimination($sizes, $factors, self::order($sizes, $factors), new Exact);
            if (! $elimination->run()->isPossible()) {
                continue;
            }
            foreach ($factors as $factor) {
                [$one, $other] = [$factor->scope[0], $factor->scope[1]];
                $joint = $elimination->jointOf($one, $other);
                self::assertCount($sizes[$one] * $sizes[$other], $joint, "graph {$seed}: a table holds {$one} and {$other}");
                foreach ($joint as $place => $chance) {
                    $at = intdiv($place, $sizes[$other]).' '.$place % $sizes[$other];
                    self::assertEqualsWithDelta(
                        ($plain['pairs']["{$one} {$other}"][$at] ?? 0.0) / $plain['total'], $chance->toFloat(), 1e-12,
                        "graph {$seed}: {$one}, {$other} at {$at}",
                    );
                    $compared++;
                }
            }
        }
        self::assertGreaterThan(500, $compared);
    }

    public function testDrawsComeAsOftenAsTheirChances(): void
    {
        [$sizes, $factors] = self::graph(3);
        $plain = self::plain($sizes, $factors);
        $elimination = new Elimination($sizes, $factors, self::order($sizes, $factors), new Doubles);
        self::assertTrue($elimination->run()->isPossible());
        $chance = new Randomizer(new Mt19937(11));
        $draws = 4_000;
        $seen = [];
        for ($draw = 0; $draw < $draws; $draw++) {
            $values = $elimination->draw($chance);
            ksort($values);
            self::assertGreaterThan(0.0, self::weight($values, $sizes, $factors), 'only what is possible is drawn');
            foreach ($values as $variable => $value) {
                $seen[$variable][$value] = ($seen[$variable][$value] ?? 0) + 1;
            }
        }
        foreach ($plain['single'] as $variable => $weights) {
            foreach ($weights as $value => $weight) {
                $p = $weight / $plain['total'];
                self::assertEqualsWithDelta(
                    $p, ($seen[$variable][$value] ?? 0) / $draws, 4.5 * sqrt($p * (1 - $p) / $draws) + 1e-9, "{$variable} = {$value}",
                );
            }
        }
    }

    public function testAnOrderNamesEachVariableOnceAndItsTablesAreAsLargeAsItSays(): void
    {
        for ($seed = 1; $seed <= self::GRAPHS; $seed++) {
            [$sizes, $factors] = self::graph($seed);
            $order = self::order($sizes, $factors);
            $sorted = $order->variables;
            sort($sorted);
            self::assertSame(array_keys($sizes), $sorted, "graph {$seed}");
            $total = $largest = 0.0;
            $turn = array_flip($order->variables);
            foreach ($order->variables as $at => $variable) {
                $entries = (float) $sizes[$variable];
                foreach ($order->cliques[$at] as $beside) {
                    self::assertGreaterThan($at, $turn[$beside], "graph {$seed}: those beside {$variable} come later");
                    $entries *= $sizes[$beside];
                }
                $total += $entries;
                $largest = max($largest, $entries);
            }
            self::assertEqualsWithDelta($total, $order->size, 1e-6 * $total, "graph {$seed}");
            self::assertEqualsWithDelta($largest, $order->largest, 1e-6 * $largest, "graph {$seed}");
            $elimination = new Elimination($sizes, $factors, $order, new Doubles);
            $elimination->run();
            self::assertLessThanOrEqual($total + .5, $elimination->entries, "graph {$seed}: tables hold what is possible only");
        }
    }

    public function testWhatIsWiderThanWantedHasNoOrderAndIsNotWorkedOut(): void
    {
        $sizes = array_fill(0, 12, 4);
        $scopes = [];
        foreach (range(0, 11) as $a) {
            foreach (range(0, $a) as $b) {
                $scopes[] = $a === $b ? [$a] : [$b, $a];
            }
        }
        self::assertSame(INF, Order::of($sizes, $scopes, most: 4.0 ** 11)->size, 'all are beside all: the first table has 4^12 entries');
        $whole = Order::of($sizes, $scopes);
        self::assertEqualsWithDelta(array_sum(array_map(static fn (int $n): float => 4.0 ** $n, range(1, 12))), $whole->size, 1.0);
        $even = array_map(
            static fn (array $scope): Factor => Factor::dense($scope, array_fill(0, 4 ** count($scope), Rational::of(1, 4))), $scopes,
        );
        $this->expectException(TooWide::class);
        (new Elimination($sizes, $even, $whole, new Doubles, 5_000))->run();
    }

    public function testEnoughIsSetAsideThatNoTableIsWiderThanAsked(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            [$sizes, $factors] = self::graph($seed, 14, 22);
            $scopes = array_map(static fn (Factor $factor): array => $factor->scope, $factors);
            [$order, $aside] = Order::narrow($sizes, $scopes, 40.0, new Randomizer(new Mt19937($seed)), []);
            self::assertLessThanOrEqual(40.0, $order->largest, "graph {$seed}");
            $all = [...$order->variables, ...$aside];
            sort($all);
            self::assertSame(array_keys($sizes), $all, "graph {$seed}: each is in the order or aside, and once");
        }
    }

    public function testASamplerComesNearWithinItsErrorAndIsTheSameAgain(): void
    {
        [$sizes, $factors] = self::graph(5);
        $plain = self::plain($sizes, $factors);
        $told = 0;
        $each = static function (array $values, int $part) use (&$told, $sizes): void {
            self::assertCount(count($sizes), $values);
            self::assertLessThan(8, $part);
            $told++;
        };
        $first = (new Sampler($sizes, $factors, 400_000, 1, 6.0))->run($each);
        $again = (new Sampler($sizes, $factors, 400_000, 1, 6.0))->run();
        self::assertFalse($first->isExact);
        self::assertGreaterThan(40, $told);
        self::assertEquals($first, $again);
        foreach ($plain['single'] as $variable => $weights) {
            foreach ($weights as $value => $weight) {
                self::assertEqualsWithDelta(
                    $weight / $plain['total'], $first->of[$variable][$value]->toFloat(), 2 * $first->error + .01, "{$variable} = {$value}",
                );
            }
        }
    }

    public function testPlacesOfATableAreThoseOfItsVariables(): void
    {
        $sizes = [2 => 3, 5 => 2, 7 => 4];
        $scope = new Scope([5, 2, 7], $sizes);
        self::assertSame(24, $scope->size);
        $small = new Scope([2, 7], $sizes);
        foreach (range(0, 23) as $place) {
            [$of5, $of2, $of7] = [intdiv($place, 12), intdiv($place, 4) % 3, $place % 4];
            self::assertSame([4 * $of2 + $of7], $scope->places([$place], $small->strides));
            self::assertSame([$of5], $scope->places([$place], [5 => 1]));
            self::assertSame([$of7 * 2 + $of5], $scope->places([$place], [7 => 2, 5 => 1]));
        }
    }

    public function testADrawByWeightPassesOverWhatWeighsNothing(): void
    {
        $chance = new Randomizer(new Mt19937(2));
        $seen = [0, 0, 0, 0];
        foreach (range(1, 3_000) as $_) {
            $seen[Draw::from([0.0, 1.0, 0.0, 3.0], $chance)]++;
            $unit = Draw::unit($chance);
            self::assertGreaterThanOrEqual(0.0, $unit);
            self::assertLessThan(1.0, $unit);
        }
        self::assertSame([0, 0], [$seen[0], $seen[2]]);
        self::assertEqualsWithDelta(.75, $seen[3] / 3_000, .04);
    }

    /**
     * A graph drawn from a seed: tables over two or three variables, of which some entries are 0.
     *
     * @return array{array<int, int>, list<Factor>}
     */
    private static function graph(int $seed, int $variables = 6, int $tables = 7): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $sizes = [];
        for ($i = 0; $i < $variables; $i++) {
            $sizes[$i] = $chance->getInt(2, 3);
        }
        $factors = [];
        for ($i = 0; $i < $tables; $i++) {
            $scope = $chance->pickArrayKeys($sizes, $chance->getInt(2, 3));
            $scope = $chance->shuffleArray($scope);
            $places = array_product(array_map(static fn (int $one): int => $sizes[$one], $scope));
            $table = [];
            for ($place = 0; $place < $places; $place++) {
                $table[] = Rational::of(max(0, $chance->getInt(-2, 6)), 7);
            }
            $factors[] = Factor::dense($scope, $table);
        }

        return [$sizes, $factors];
    }

    /**
     * @param array<int, int> $sizes
     * @param list<Factor> $factors
     */
    private static function order(array $sizes, array $factors): Order
    {
        return Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors));
    }

    /**
     * @param array<int, int> $values
     * @param array<int, int> $sizes
     * @param list<Factor> $factors
     */
    private static function weight(array $values, array $sizes, array $factors): float
    {
        $weight = 1.0;
        foreach ($factors as $factor) {
            $place = 0;
            foreach ($factor->scope as $variable) {
                $place = $place * $sizes[$variable] + $values[$variable];
            }
            $entry = $factor->table[$place] ?? 0.0;
            $weight *= $entry instanceof Rational ? $entry->toFloat() : $entry;
        }

        return $weight;
    }

    /**
     * @param array<int, int> $sizes
     * @param list<Factor> $factors
     * @return array{total: float, single: array<int, array<int, float>>, pairs: array<string, array<string, float>>}
     */
    private static function plain(array $sizes, array $factors): array
    {
        $combinations = [[]];
        foreach ($sizes as $variable => $size) {
            $longer = [];
            foreach ($combinations as $values) {
                foreach (range(0, $size - 1) as $value) {
                    $longer[] = $values + [$variable => $value];
                }
            }
            $combinations = $longer;
        }
        $all = ['total' => 0.0, 'single' => [], 'pairs' => []];
        foreach ($combinations as $values) {
            $weight = self::weight($values, $sizes, $factors);
            $all['total'] += $weight;
            foreach ($values as $one => $value) {
                $all['single'][$one][$value] = ($all['single'][$one][$value] ?? 0.0) + $weight;
                foreach ($values as $other => $beside) {
                    $all['pairs']["{$one} {$other}"]["{$value} {$beside}"] = ($all['pairs']["{$one} {$other}"]["{$value} {$beside}"] ?? 0.0) + $weight;
                }
            }
        }

        return $all;
    }
}
