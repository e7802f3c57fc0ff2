<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Planning\Policy\Policy;
use Destino\Planning\Weigh\RoadNotTaken;
use PHPUnit\Framework\TestCase;
use Tests\Support\Shelf;

final class RoadNotTakenTest extends TestCase
{
    public function testAPairThatWasNotMadeWouldHaveBroughtItSooner(): void
    {
        $found = self::of([['A0', 'A2']]);
        self::assertSame(['A0', 'A1', ''], [$found?->sire, $found?->dam, $found?->instead]);
        // In her first season P(a hit) = .7 · (1 − (3/4)²) = .306; each season later costs as much again of what is left.
        self::assertEqualsWithDelta(.306 * (1 + .694 + .694 ** 2), $found->sooner, 4 * $found->error);
    }

    public function testWhoHadTheFemaleInsteadIsNamed(): void
    {
        self::assertSame('A3', self::of([['A3', 'A1']])?->instead);
    }

    public function testWhereNothingWasBetterNothingIsSaid(): void
    {
        self::assertNull(self::of([['A0', 'A1'], ['A0', 'A2']]));
    }

    /** @param list<array{string, string}> $made */
    private static function of(array $made): ?RoadNotTaken
    {
        $rules = ['horizon' => 3, 'females' => 30, 'eggs' => 2, 'perMale' => 4, 'tubs' => null]; // no young breeds in time
        $project = SmallProjects::of([2], [[true, [1], 40], [false, [1], 40], [false, [0], 40], [true, [0], 40]], $rules);

        return RoadNotTaken::of(new Policy(Shelf::catalogue(), $project), $made, 1);
    }
}
