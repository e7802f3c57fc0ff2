<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Probability\Rational;

/** Ways to share counted eggs among the classes that look alike. */
final class Sharings
{
    /** Ways that are held in one variable. */
    private const MOST = 400;

    /** The most eggs whose classes are held in one variable. */
    public static function fits(int $classes): int
    {
        if ($classes === 1) {
            return PHP_INT_MAX;
        }
        $eggs = 1;
        while (self::sharingsOf($eggs + 1, $classes) <= self::MOST && $eggs < 1000) {
            $eggs++;
        }

        return $eggs;
    }

    private static function sharingsOf(int $eggs, int $classes): float
    {
        $ways = 1.0;
        for ($i = 1; $i < $classes; $i++) {
            $ways = $ways * ($eggs + $i) / $i;
        }

        return $ways;
    }

    /** @param list<int> $shares */
    public static function product(EggEvidence $evidence, int $i, array $shares, int $sire, int $dam): Rational
    {
        $product = Rational::one();
        foreach ($shares as $class => $count) {
            if ($count > 0) {
                $product = $product->times($evidence->chance($i, $class, $sire, $dam)->power($count));
            }
        }

        return $product;
    }

    /** @return list<list<int>> every way to share eggs among classes */
    public static function of(int $eggs, int $classes): array
    {
        if ($classes === 1) {
            return [[$eggs]];
        }
        $all = [];
        for ($first = 0; $first <= $eggs; $first++) {
            foreach (self::of($eggs - $first, $classes - 1) as $rest) {
                $all[] = [$first, ...$rest];
            }
        }

        return $all;
    }

    /**
     * @param list<int> $shares
     * @param list<Rational> $weights
     * @return Rational multinomial coefficient times the weights of the classes
     */
    public static function ways(array $shares, array $weights): Rational
    {
        $ways = Rational::one();
        $left = array_sum($shares);
        foreach ($shares as $class => $count) {
            for ($i = 1; $i <= $count; $i++) {
                $ways = $ways->times(Rational::of($left, $i))->times($weights[$class]);
                $left--;
            }
        }

        return $ways;
    }
}
