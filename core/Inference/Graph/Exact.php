<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/**
 * Exact rationals, for families of a size at which their digits stay readable.
 *
 * @implements Arithmetic<Rational>
 */
final readonly class Exact implements Arithmetic
{
    public function of(Rational $number): Rational
    {
        return $number;
    }

    public function times(array $table, array $other, array $offsets): array
    {
        foreach ($offsets as $i => $at) {
            $table[$i] = $table[$i]->isZero() ? $table[$i] : $table[$i]->times($other[$at]);
        }

        return $table;
    }

    public function over(array $table, array $other, array $offsets): array
    {
        foreach ($offsets as $i => $at) {
            $table[$i] = $table[$i]->isZero() ? $table[$i] : $table[$i]->dividedBy($other[$at]);
        }

        return $table;
    }

    public function sums(array $table, array $offsets, int $size): array
    {
        $sums = array_fill(0, $size, Rational::zero());
        foreach ($offsets as $i => $at) {
            $sums[$at] = $table[$i]->isZero() ? $sums[$at] : $sums[$at]->plus($table[$i]);
        }

        return $sums;
    }

    public function scaled(array $table): array
    {
        $most = Rational::zero();
        foreach ($table as $entry) {
            $most = $entry->compareTo($most) > 0 ? $entry : $most;
        }
        if ($most->isZero()) {
            return [$table, -INF];
        }

        return [array_map(static fn (Rational $entry): Rational => $entry->dividedBy($most), $table), self::log($most)];
    }

    public function shares(array $table): ?array
    {
        $sum = array_reduce($table, static fn (Rational $sum, Rational $entry): Rational => $sum->plus($entry), Rational::zero());

        return $sum->isZero() ? null : array_values(array_map(static fn (Rational $entry): Rational => $entry->dividedBy($sum), $table));
    }

    private static function log(Rational $number): float
    {
        return log($number->numerator()->toFloat()) - log($number->denominator()->toFloat());
    }
}
