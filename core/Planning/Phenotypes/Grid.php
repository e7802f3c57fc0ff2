<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** Steps to which the chances under a look are rounded, so that what is much alike is one phenotype. */
final class Grid
{
    private const FINE = 48;

    /** For young that are only looked ahead for: halves, thirds and quarters stay what they are. */
    private const COARSE = 12;

    /**
     * In proportion to some weights.
     *
     * @param array<int, float> $weights by number of the diplotype
     * @return Weights<null>
     */
    public static function blended(array $weights): Weights
    {
        arsort($weights);
        $total = array_sum($weights);
        $left = self::FINE;
        /** @var Weights<null> $rounded */
        $rounded = new Weights;
        foreach (array_reverse($weights, true) as $state => $weight) { // the largest takes what rounding leaves
            $steps = $state === array_key_first($weights) ? $left : (int) round(self::FINE * $weight / $total);
            $left -= $steps;
            $rounded->add($state, null, Rational::of($steps, self::FINE));
        }

        return $rounded;
    }

    /** @param array<int, Rational> $look P(diplotype) by its number */
    public static function isCoarse(array $look): bool
    {
        foreach ($look as $p) {
            if (! $p->times(Rational::of(self::COARSE))->denominator()->isEqualTo(1)) {
                return false;
            }
        }

        return true;
    }

    /**
     * What is possible stays possible.
     *
     * @param array<int, Rational> $look P(diplotype) by its number
     * @return Weights<null>
     */
    public static function coarse(array $look): Weights
    {
        /** @var Weights<null> $rounded */
        $rounded = new Weights;
        foreach ($look as $state => $p) {
            $rounded->add($state, null, Rational::of(max(1, (int) round(self::COARSE * $p->toFloat()))));
        }

        return $rounded;
    }
}
