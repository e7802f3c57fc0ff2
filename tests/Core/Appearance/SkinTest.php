<?php

declare(strict_types=1);

namespace Tests\Core\Appearance;

use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Skin\Body;
use Destino\Appearance\Skin\Contours;
use Destino\Appearance\Skin\LightField;
use Destino\Appearance\Skin\Tones;
use Destino\Appearance\Sureness;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What the drawing of an animal is made of: the field of light and dark, its outlines, the round body, the colours. */
final class SkinTest extends TestCase
{
    /** @param array<string, float> $values */
    private static function look(array $values = [], int $seed = 0): Look
    {
        return new Look($values, [], Sureness::Known, [], LookFacts::ADULT, $seed);
    }

    /** The area inside the lines is that of the squares above the level, however the field lies. */
    public function testOutlinesCloseAroundWhatIsAboveTheLevel(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        for ($round = 0; $round < 20; $round++) {
            $field = [];
            for ($i = 0; $i < 14; $i++) {
                for ($j = 0; $j < 9; $j++) {
                    $field[$i][$j] = $chance->getInt(0, 1) === 1 ? 1.0 : -1.0;
                }
            }
            $area = 0.0;
            foreach (Contours::above($field, 0.0) as $loop) {
                self::assertGreaterThan(2, count($loop));
                $area += abs(self::area($loop)) * (self::area($loop) > 0 ? 1 : -1);
            }
            $inside = count(array_filter(array_merge(...$field), static fn (float $one): bool => $one > 0));
            // each point stands for a square; corners are cut, and what lies at the rim reaches half way out
            self::assertGreaterThan(.25 * $inside, abs($area));
            self::assertLessThan(1.3 * $inside + 1, abs($area));
        }
    }

    public function testADiscHasTheAreaOfADisc(): void
    {
        $field = [];
        for ($i = 0; $i < 40; $i++) {
            for ($j = 0; $j < 40; $j++) {
                $field[$i][$j] = 12.0 - hypot($i - 19.5, $j - 19.5);
            }
        }
        $loops = Contours::above($field, 0.0);
        self::assertCount(1, $loops);
        self::assertEqualsWithDelta(M_PI * 144, abs(self::area($loops[0])), 3.0);
        $ring = array_map(
            static fn (array $column): array => array_map(static fn (float $one): float => 3.0 - abs($one - 6.0), $column), $field,
        );
        self::assertCount(2, Contours::above($ring, 0.0), 'an outer line and a hole');
        self::assertSame([], Contours::above($field, 13.0));
    }

    /** @param list<array{float, float}> $loop */
    private static function area(array $loop): float
    {
        $sum = 0.0;
        foreach ($loop as $i => [$x, $y]) {
            [$nextX, $nextY] = $loop[($i + 1) % count($loop)];
            $sum += $x * $nextY - $nextX * $y;
        }

        return $sum / 2;
    }

    public function testARoundBodyShowsTheSideThatFacesUsAndHidesTheOther(): void
    {
        $body = new Body(17, 56.0, 116.0);
        foreach (range(1, 16) as $x) {
            $seen = 0;
            foreach ([-.9, -.5, 0.0, .5, .9] as $v) {
                [$px, $py, $isSeen] = $body->at((float) $x, $v);
                self::assertGreaterThan(-5, $px);
                self::assertLessThan(605, $px);
                self::assertGreaterThan(-5, $py);
                self::assertLessThan(405, $py);
                $seen += $isSeen ? 1 : 0;
            }
            self::assertGreaterThanOrEqual(2, $seen);
            self::assertTrue($body->at((float) $x, 0.0)[2], 'the middle of the back is always seen');
        }
        $flat = new Body(17, 84.0, 118.0, true);
        self::assertTrue($flat->at(8.0, .99)[2]);
        self::assertEqualsWithDelta(95 + 84 * .5, $flat->at(8.0, .5)[1], .5);
        self::assertSame(1.0, Body::width(.4));
        self::assertLessThan(.1, Body::width(1.0));
        self::assertEqualsWithDelta(Body::width(0.0), Body::headWidth(1.0), .01, 'the head passes into the neck');
    }

    /** @param array<string, float> $values */
    private static function darkShare(array $values, int $seed = 0): float
    {
        $all = array_merge(...(new LightField(self::look($values, $seed), 17, 96, 16))->values);

        return count(array_filter($all, static fn (float $one): bool => $one < 0)) / count($all);
    }

    public function testAmountsMakeTheFieldDarkerOrLighter(): void
    {
        $normal = self::darkShare([]);
        self::assertGreaterThan(.35, $normal);
        self::assertLessThan(.75, $normal);
        self::assertLessThan($normal, self::darkShare(['pattern_amount' => -1.5]));
        self::assertGreaterThan($normal, self::darkShare(['pattern_amount' => 1.0]));
        self::assertLessThan(.05, self::darkShare(['pattern_amount' => -2.8]), 'the neck keeps what runs out of the head');
        self::assertGreaterThan(.85, self::darkShare(['pattern_amount' => 2.8]));
        self::assertLessThan($normal - .1, self::darkShare(['clear' => 1.0]));
        self::assertGreaterThan(self::darkShare(['clear' => 1.0]), self::darkShare(['clear' => 1.0, 'back' => 1.0]));
        self::assertNotSame((new LightField(self::look([], 1), 17, 96, 16))->values, (new LightField(self::look([], 2), 17, 96, 16))->values);
    }

    /** Grids of several sizes beside each other do not mix. */
    public function testOneIndividualIsDrawnInEverySize(): void
    {
        foreach ([[17, 96, 16], [17, 96, 28], [12, 56, 12], [17, 140, 28], [17, 140, 24]] as [$blotches, $columns, $rows]) {
            $field = new LightField(self::look(['pattern_breakup' => .5], 4), $blotches, $columns, $rows);
            self::assertCount($columns, $field->values);
            self::assertSame([$rows], array_values(array_unique(array_map(count(...), $field->values))));
        }
    }

    public function testColoursFollowThePigments(): void
    {
        $lightness = static fn (string $colour): int => (int) array_sum(array_map(hexdec(...), str_split(substr($colour, 1), 2)));
        $tone = static fn (array $values, string $part): string => (new Tones(self::look($values)))->of($part);
        self::assertLessThan($lightness($tone([], 'light')), $lightness($tone([], 'dark')));
        self::assertLessThan($lightness($tone([], 'dark')), $lightness($tone(['black_depth' => 1.0], 'dark')));
        self::assertGreaterThan(650, $lightness($tone(['black_depth' => -3.0, 'yellow' => -3.0, 'orange_red' => -3.0], 'dark')));
        self::assertSame('#faf7f0', $tone(['fade' => 3.0], 'light'), 'all faded is white skin');
        [$red, $green, $blue] = array_map(hexdec(...), str_split(substr($tone(['black_depth' => -2.8, 'lavender' => 1.4], 'dark'), 1), 2));
        self::assertGreaterThan($green, $blue, 'lavender has more blue than green');
        self::assertGreaterThan($green, $red);
        for ($amount = -3.0; $amount < 3.0; $amount += .25) {
            self::assertGreaterThanOrEqual($lightness($tone(['dusk' => $amount + .25], 'light')), $lightness($tone(['dusk' => $amount], 'light')));
        }
    }
}
