<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\NearestFraction;
use Destino\Probability\Rational;

/**
 * Scaled doubles, for large collections. Every entry is a sum of products of positive numbers, so that nothing cancels
 * and the relative error of a share stays near the number of steps times 2⁻⁵³ (the tests hold it below 1e-11). Shares are
 * given as the simplest fraction within 1e-12 (of themselves, where they are small), so that what is 1/9 is read as 1/9
 * and what is possible never as impossible.
 *
 * @implements Arithmetic<float>
 */
final readonly class Doubles implements Arithmetic
{
    public const TOLERANCE = 1e-12;

    public function of(Rational|float $number): float
    {
        return is_float($number) ? $number : $number->toFloat();
    }

    public function filtered(array $table, array $places, array $other): array
    {
        $left = [];
        $i = 0;
        foreach ($table as $key => $entry) {
            if (isset($other[$places[$i]])) {
                $left[$key] = $entry * $other[$places[$i]];
            }
            $i++;
        }

        return $left;
    }

    public function joined(array $table, array $bases, array $common, array $index): array
    {
        $joined = [];
        $i = 0;
        foreach ($table as $entry) {
            $base = $bases[$i];
            foreach ($index[$common[$i]] ?? [] as [$extra, $factor]) {
                $joined[$base + $extra] = $entry * $factor;
            }
            $i++;
        }

        return $joined;
    }

    public function sums(array $table, array $places): array
    {
        $sums = [];
        $i = 0;
        foreach ($table as $entry) {
            $at = $places[$i++];
            if (isset($sums[$at])) {
                $sums[$at] += $entry;
            } else {
                $sums[$at] = $entry;
            }
        }

        return $sums;
    }

    public function summedOut(array $table, int $size): array
    {
        $sums = [];
        foreach ($table as $key => $entry) {
            $at = $key % $size;
            if (isset($sums[$at])) {
                $sums[$at] += $entry;
            } else {
                $sums[$at] = $entry;
            }
        }

        return $sums;
    }

    public function ofSlowest(array $table, int $size): array
    {
        $sums = [];
        foreach ($table as $key => $entry) {
            $at = intdiv($key, $size);
            if (isset($sums[$at])) {
                $sums[$at] += $entry;
            } else {
                $sums[$at] = $entry;
            }
        }

        return $sums;
    }

    public function weighed(array $table, int $size, array $rest): array
    {
        $left = [];
        foreach ($table as $key => $entry) {
            $at = $key % $size;
            if (isset($rest[$at])) {
                $left[$key] = $entry * $rest[$at];
            }
        }

        return $left;
    }

    public function over(array $table, array $by): array
    {
        $left = [];
        foreach ($table as $key => $entry) {
            if (isset($by[$key]) && $by[$key] > 0.0) {
                $left[$key] = $entry / $by[$key];
            }
        }

        return $left;
    }

    public function scaled(array $table): array
    {
        $most = $table === [] ? 0.0 : max($table);
        if ($most <= 0.0) {
            return [$table, -INF];
        }
        if ($most > 1e-60 && $most < 1e60) {
            return [$table, 0.0];
        }

        return [array_map(static fn (float $entry): float => $entry / $most, $table), log($most)];
    }

    public function shares(array $table, int $size): ?array
    {
        $sum = array_sum($table);
        if ($sum <= 0.0) {
            return null;
        }
        $largest = (int) array_search(max([0.0, ...array_values($table)]), $table, true);
        $shares = [];
        $others = Rational::zero();
        for ($i = 0; $i < $size; $i++) {
            $share = ($table[$i] ?? 0.0) / $sum;
            $shares[$i] = $share === 0.0 ? Rational::zero() : NearestFraction::of($share, self::TOLERANCE * min(1.0, 100 * $share));
            $others = $i === $largest ? $others : $others->plus($shares[$i]);
        }
        $shares[$largest] = $others->complement(); // the largest takes what rounding has left over, so that they sum to 1

        return array_values($shares);
    }

    public function float(mixed $number): float
    {
        return $number;
    }
}
