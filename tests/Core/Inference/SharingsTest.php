<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Inference\Family\Sharings;
use Destino\Probability\Rational;
use PHPUnit\Framework\TestCase;

/** Counted eggs of one look may be of several classes: every way to share them, and how likely each is. */
final class SharingsTest extends TestCase
{
    public function testEveryWayIsThereOnce(): void
    {
        foreach ([[1, 1], [3, 1], [4, 2], [5, 3], [3, 4]] as [$eggs, $classes]) {
            $all = Sharings::of($eggs, $classes);
            $plain = [];
            foreach (self::words($eggs, $classes) as $word) {
                $counts = array_fill(0, $classes, 0);
                foreach ($word as $class) {
                    $counts[$class]++;
                }
                $plain[implode(' ', $counts)] = true;
            }
            $told = array_map(static fn (array $shares): string => implode(' ', $shares), $all);
            self::assertEqualsCanonicalizing(array_keys($plain), $told, "{$eggs} eggs among {$classes}");
            self::assertSame(count($told), count(array_unique($told)));
        }
    }

    public function testTheWaysOfAllSharingsSumToWhatEggsOneByOneGive(): void
    {
        foreach ([['1/4', '3/4'], ['1/2', '1/3', '1/6'], ['1/8', '1/8']] as $texts) {
            $weights = array_map(Rational::parse(...), $texts);
            $each = array_reduce($weights, static fn (Rational $sum, Rational $one): Rational => $sum->plus($one), Rational::zero());
            foreach ([1, 2, 5] as $eggs) {
                $sum = Rational::zero();
                foreach (Sharings::of($eggs, count($weights)) as $shares) {
                    $sum = $sum->plus(Sharings::ways($shares, $weights));
                }
                self::assertSame($each->power($eggs)->toString(), $sum->toString(), "{$eggs} eggs, ".implode(', ', $texts));
            }
        }
    }

    public function testAsManyEggsAreHeldTogetherAsFit(): void
    {
        self::assertSame(PHP_INT_MAX, Sharings::fits(1), 'one class leaves nothing to share');
        foreach ([2, 3, 4, 6] as $classes) {
            $most = Sharings::fits($classes);
            self::assertLessThanOrEqual(400, count(Sharings::of($most, $classes)));
            self::assertGreaterThan(400, count(Sharings::of($most + 1, $classes)));
        }
    }

    /** @return iterable<list<int>> the class of each egg, in every way */
    private static function words(int $eggs, int $classes): iterable
    {
        if ($eggs === 0) {
            yield [];

            return;
        }
        foreach (self::words($eggs - 1, $classes) as $word) {
            for ($class = 0; $class < $classes; $class++) {
                yield [...$word, $class];
            }
        }
    }
}
