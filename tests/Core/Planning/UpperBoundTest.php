<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Weigh\UpperBound;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Shelf;

final class UpperBoundTest extends TestCase
{
    public function testNoKeeperDoesBetter(): void
    {
        $tight = 0;
        foreach (SmallProjects::drawn(new Randomizer(new Mt19937(3)), 12) as $name => [$wanted, $animals, $rules]) {
            $rules = ['horizon' => min(4, $rules['horizon'])] + $rules;
            $best = ExactPlay::of($wanted, $animals, $rules);
            $bound = self::bound($wanted, $animals, $rules);
            self::assertGreaterThanOrEqual($best - 1e-9, $bound, $name);
            $tight += $best > 0.0 && $bound < $best + .1 ? 1 : 0;
        }
        self::assertGreaterThan(1, $tight, 'it says something');
    }

    public function testWhatIsDecidedInOneSeasonIsMetWithinTheError(): void
    {
        // One female that lays with .7, two eggs of which a quarter is a hit: .7 · (1 − (3/4)²).
        $rules = ['horizon' => 1, 'females' => 18, 'eggs' => 2, 'perMale' => 4, 'tubs' => null];
        $bound = self::bound([2], [[true, [1], 40], [false, [1], 40]], $rules);
        self::assertEqualsWithDelta(.30625, $bound, 4 * sqrt(.30625 * .69375 / 400) + .05);
        self::assertGreaterThan(.30625 - .03, $bound);
    }

    public function testManyAnimalsSayNothing(): void
    {
        $many = array_fill(0, 20, [false, [1], 40]);
        $rules = ['horizon' => 3, 'females' => 18, 'eggs' => 2, 'perMale' => 4, 'tubs' => null];
        self::assertNull((new UpperBound(new Space(Shelf::catalogue(), SmallProjects::of([2], [[true, [1], 40], ...$many], $rules))))->chance(1));
    }

    /**
     * @param list<int> $wanted
     * @param list<array{bool, list<int>, int}> $animals
     * @param array<string, mixed> $rules
     */
    private static function bound(array $wanted, array $animals, array $rules): float
    {
        return (new UpperBound(new Space(Shelf::catalogue(), SmallProjects::of($wanted, $animals, $rules))))->chance(1) ?? 1.0;
    }
}
