<?php

declare(strict_types=1);

namespace Tests\Core\Genome;

use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;

final class LinkageTest extends TestCase
{
    public function testCouplingAndRepulsionDiffer(): void
    {
        $group = new LinkageGroup('g', ['a', 'b'], [Rational::of(1, 5)]);
        self::assertSame(
            ['+.+' => '2/5', '+.b' => '1/10', 'a.+' => '1/10', 'a.b' => '2/5'],
            self::odds($group, new Diplotype(['a', 'b'], ['+', '+'])),
        );
        self::assertSame(
            ['+.+' => '1/10', '+.b' => '2/5', 'a.+' => '2/5', 'a.b' => '1/10'],
            self::odds($group, new Diplotype(['a', '+'], ['+', 'b'])),
        );
    }

    public function testThreeLociWithoutInterference(): void
    {
        $group = new LinkageGroup('g', ['a', 'b', 'c'], [Rational::of(1, 10), Rational::of(1, 4)]);
        $odds = self::odds($group, new Diplotype(['a', 'b', 'c'], ['+', '+', '+']));
        self::assertSame('27/80', $odds['a.b.c']); // 1/2 · 9/10 · 3/4
        self::assertSame('1/80', $odds['a.+.c']); // 1/2 · 1/10 · 1/4
        self::assertCount(8, $odds);
    }

    public function testHalfIsNoLinkageAndZeroIsComplete(): void
    {
        $free = new LinkageGroup('g', ['a', 'b'], [Rational::of(1, 2)]);
        self::assertSame(['1/4'], array_values(array_unique(self::odds($free, new Diplotype(['a', 'b'], ['+', '+'])))));
        $tight = new LinkageGroup('g', ['a', 'b'], [Rational::zero()]);
        self::assertSame(['+.+' => '1/2', 'a.b' => '1/2'], self::odds($tight, new Diplotype(['a', 'b'], ['+', '+'])));
    }

    public function testPhasingsAreAllAndDistinct(): void
    {
        $group = new LinkageGroup('g', ['a', 'b'], [Rational::of(1, 5)]);
        self::assertSame(['+.+~a.b', '+.b~a.+'], array_keys($group->phasings(['a' => ['a', '+'], 'b' => ['b', '+']])));
        self::assertCount(1, $group->phasings(['a' => ['a', 'a'], 'b' => ['b', '+']]));
    }

    public function testAMakerIsWhatTheChromosomeSays(): void
    {
        $group = new LinkageGroup('g', [Sex::LOCUS, 'b'], [Rational::of(1, 5)]);
        self::assertSame(Sex::Male, $group->makerOf(new Diplotype(['X', '+'], ['Y', 'b']), 'b'));
        self::assertSame(Sex::Female, $group->makerOf(new Diplotype(['X', 'b'], ['Y', '+']), 'b'));
        self::assertNull($group->makerOf(new Diplotype(['X', 'b'], ['Y', 'b']), 'b'));
        self::assertNull($group->makerOf(new Diplotype(['X', 'b'], ['X', '+']), 'b'));
    }

    /** @return array<string, string> sorted by haplotype */
    private static function odds(LinkageGroup $group, Diplotype $parent): array
    {
        $odds = array_map(static fn (array $entry): string => $entry[1]->toString(), $group->gametes($parent)->entries());
        ksort($odds);

        return $odds;
    }
}
