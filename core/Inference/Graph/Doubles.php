<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/**
 * Scaled doubles, for large collections. Every entry is a sum of products of positive numbers, so that nothing cancels
 * and the relative error of a share stays near the number of steps times 2⁻⁵³ (the tests hold it below 1e-11). Shares are
 * given as the simplest fraction within 1e-12, so that what is 1/9 is read as 1/9.
 *
 * @implements Arithmetic<float>
 */
final readonly class Doubles implements Arithmetic
{
    public const TOLERANCE = 1e-12;

    public function of(Rational $number): float
    {
        return $number->toFloat();
    }

    public function times(array $table, array $other, array $offsets): array
    {
        foreach ($offsets as $i => $at) {
            $table[$i] *= $other[$at];
        }

        return $table;
    }

    public function over(array $table, array $other, array $offsets): array
    {
        foreach ($offsets as $i => $at) {
            $by = $other[$at];
            $table[$i] = $by === 0.0 ? 0.0 : $table[$i] / $by;
        }

        return $table;
    }

    public function sums(array $table, array $offsets, int $size): array
    {
        $sums = array_fill(0, $size, 0.0);
        foreach ($offsets as $i => $at) {
            $sums[$at] += $table[$i];
        }

        return $sums;
    }

    public function scaled(array $table): array
    {
        $most = $table === [] ? 0.0 : max($table);
        if ($most <= 0.0) {
            return [$table, -INF];
        }

        return [array_map(static fn (float $entry): float => $entry / $most, $table), log($most)];
    }

    public function shares(array $table): ?array
    {
        $sum = array_sum($table);
        if ($sum <= 0.0) {
            return null;
        }
        $shares = array_map(static fn (float $entry): Rational => Rational::nearest($entry / $sum, self::TOLERANCE), $table);
        // The largest share takes what rounding has left over, so that they sum to 1.
        $largest = (int) array_search(max([0.0, ...$table]), $table, true);
        $others = Rational::zero();
        foreach ($shares as $i => $share) {
            $others = $i === $largest ? $others : $others->plus($share);
        }
        $shares[$largest] = $others->complement();

        return array_values($shares);
    }
}
