<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Random\Randomizer;

/** Chance from a seed that was handed in. */
final class Draw
{
    /** A number from 0 up to, and without, 1. */
    public static function unit(Randomizer $chance): float
    {
        return $chance->getInt(0, 0x1FFFFFFFFFFFFF) / 0x20000000000000;
    }

    /**
     * A value by its weight.
     *
     * @param list<float> $weights not all 0
     */
    public static function from(array $weights, Randomizer $chance): int
    {
        $draw = array_sum($weights) * self::unit($chance);
        $last = 0;
        foreach ($weights as $value => $weight) {
            if ($weight > 0.0) {
                $last = $value;
                $draw -= $weight;
                if ($draw < 0.0) {
                    break;
                }
            }
        }

        return $last;
    }
}
