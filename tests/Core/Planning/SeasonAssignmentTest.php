<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Planning\Weigh\Flow;
use Destino\Planning\Weigh\SeasonAssignment;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @phpstan-type Wish array{sires: list<string>, dams: list<string>, weight: float} */
final class SeasonAssignmentTest extends TestCase
{
    public function testTheWishesWithTheGreatestWeightAreGranted(): void
    {
        // Both want F1; the second can do with F2, so both are granted.
        self::assertSame(['0: M × F1', '1: M × F2'], self::grants([self::wish(['M'], ['F1'], 1), self::wish(['M'], ['F1', 'F2'], 5)]));
        // One male for one female: the heavier wish.
        self::assertSame(['1: M × F2'], self::grants([self::wish(['M'], ['F1'], 1), self::wish(['M'], ['F2'], 5)], 1));
        // A wish that nobody else stands in the way of is granted beside the heavier one.
        self::assertSame(
            ['0: N × F1', '2: M × F2'],
            self::grants([self::wish(['N'], ['F1'], 3), self::wish(['M'], ['F1'], 2), self::wish(['M'], ['F2'], 2)]),
        );
        self::assertSame([], self::grants([]));
        self::assertSame([], self::grants([self::wish([], ['F1'], 3)]));
    }

    public function testAGrantIsTakenBackWhereAnotherOrderIsWorthMore(): void
    {
        // The heaviest wish could take M, whom the two others need: it takes N.
        self::assertSame(
            ['0: N × F1', '1: M × F2', '2: M × F3'],
            self::grants([self::wish(['M', 'N'], ['F1'], 9), self::wish(['M'], ['F2'], 1), self::wish(['M'], ['F3'], 1)], 2),
        );
    }

    public function testAgreesWithTryingEveryAssignment(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        $compared = 0;
        for ($round = 0; $round < 150; $round++) {
            $wishes = [];
            for ($i = $chance->getInt(1, 5); $i > 0; $i--) {
                $wishes[] = self::wish(
                    self::some($chance, ['M', 'N', 'O']), self::some($chance, ['F', 'G', 'H', 'I']), $chance->getInt(1, 9),
                );
            }
            $females = $chance->getInt(1, 3);
            $grants = (new SeasonAssignment($wishes, $females))->grants();
            self::assertSame(
                self::greatest($wishes, $females),
                (float) array_sum(array_map(static fn (array $grant): float => $wishes[$grant['wish']]['weight'], $grants)),
            );
            self::assertSame(count($grants), count(array_unique(array_column($grants, 'dam'))), 'each female once');
            self::assertLessThanOrEqual($females, max([0, ...array_values(array_count_values(array_column($grants, 'sire')))]));
            foreach ($grants as $grant) {
                self::assertContains($grant['sire'], $wishes[$grant['wish']]['sires']);
                self::assertContains($grant['dam'], $wishes[$grant['wish']]['dams']);
            }
            $compared++;
        }
        self::assertSame(150, $compared);
    }

    public function testManyWishesOfTheSameAnimalsAreCounted(): void
    {
        // Forty wishes of twenty females and five males: what is granted is what the females and the males allow.
        $wishes = [];
        for ($i = 0; $i < 40; $i++) {
            $wishes[] = self::wish(
                ['M1', 'M2', 'M3', 'M4', 'M5'], array_map(static fn (int $female): string => "F{$female}", range(1, 20)), 1 + $i,
            );
        }
        $grants = (new SeasonAssignment($wishes, 3))->grants();
        self::assertSame(range(25, 39), array_column($grants, 'wish'), 'fifteen matings, for the heaviest wishes');
    }

    public function testAFlowCarriesWhatItsArcsCarry(): void
    {
        $flow = new Flow;
        [$cheap, $dear] = [$flow->arc(0, 1, 2, 1.0), $flow->arc(0, 1, 5, 3.0)];
        $useless = $flow->arc(0, 1, 5, -1.0);
        $flow->arc(1, 2, 6);
        self::assertEqualsWithDelta(5 * 3.0 + 1 * 1.0, $flow->run(0, 2), 1e-9);
        self::assertSame([1, 5, 0], [$flow->carried($cheap), $flow->carried($dear), $flow->carried($useless)]);
    }

    /**
     * @param list<Wish> $wishes
     * @param array<string, true> $mated
     * @param array<string, int> $served
     */
    private static function greatest(array $wishes, int $females, int $at = 0, array $mated = [], array $served = []): float
    {
        if (! isset($wishes[$at])) {
            return 0.0;
        }
        $most = self::greatest($wishes, $females, $at + 1, $mated, $served);
        foreach ($wishes[$at]['sires'] as $sire) {
            foreach ($wishes[$at]['dams'] as $dam) {
                if (! isset($mated[$dam]) && ($served[$sire] ?? 0) < $females) {
                    $rest = self::greatest(
                        $wishes, $females, $at + 1, $mated + [$dam => true], [$sire => ($served[$sire] ?? 0) + 1] + $served,
                    );
                    $most = max($most, $wishes[$at]['weight'] + $rest);
                }
            }
        }

        return $most;
    }

    /**
     * @param list<string> $of
     * @return list<string>
     */
    private static function some(Randomizer $chance, array $of): array
    {
        return array_values(array_filter($of, static fn (): bool => $chance->getInt(0, 2) > 0));
    }

    /**
     * @param list<string> $sires
     * @param list<string> $dams
     * @return Wish
     */
    private static function wish(array $sires, array $dams, float $weight): array
    {
        return ['sires' => $sires, 'dams' => $dams, 'weight' => $weight];
    }

    /**
     * @param list<Wish> $wishes
     * @return list<string>
     */
    private static function grants(array $wishes, int $females = 4): array
    {
        return array_map(
            static fn (array $grant): string => "{$grant['wish']}: {$grant['sire']} × {$grant['dam']}",
            (new SeasonAssignment($wishes, $females))->grants(),
        );
    }
}
