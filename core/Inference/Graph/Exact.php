<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * Exact rationals, for families of the size that a person could check.
 *
 * @implements Arithmetic<Rational>
 */
final readonly class Exact implements Arithmetic
{
    public function of(Rational|float $number): Rational
    {
        return is_float($number) ? throw new \LogicException('A table of doubles has no exact answer.') : $number;
    }

    public function filtered(array $table, array $places, array $other): array
    {
        $left = [];
        $i = 0;
        foreach ($table as $key => $entry) {
            $factor = $other[$places[$i++]] ?? null;
            if ($factor !== null) {
                $left[$key] = $entry->times($factor);
            }
        }

        return $left;
    }

    public function joined(array $table, array $bases, array $common, array $index): array
    {
        $joined = [];
        $i = 0;
        foreach ($table as $entry) {
            foreach ($index[$common[$i]] ?? [] as [$extra, $factor]) {
                $joined[$bases[$i] + $extra] = $entry->times($factor);
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
            $sums[$at] = isset($sums[$at]) ? $sums[$at]->plus($entry) : $entry;
        }

        return $sums;
    }

    public function summedOut(array $table, int $size): array
    {
        $sums = [];
        foreach ($table as $key => $entry) {
            $at = $key % $size;
            $sums[$at] = isset($sums[$at]) ? $sums[$at]->plus($entry) : $entry;
        }

        return $sums;
    }

    public function ofSlowest(array $table, int $size): array
    {
        $sums = [];
        foreach ($table as $key => $entry) {
            $at = intdiv($key, $size);
            $sums[$at] = isset($sums[$at]) ? $sums[$at]->plus($entry) : $entry;
        }

        return $sums;
    }

    public function weighed(array $table, int $size, array $rest): array
    {
        $left = [];
        foreach ($table as $key => $entry) {
            $factor = $rest[$key % $size] ?? null;
            if ($factor !== null) {
                $left[$key] = $entry->times($factor);
            }
        }

        return $left;
    }

    public function over(array $table, array $by): array
    {
        $left = [];
        foreach ($table as $key => $entry) {
            if (isset($by[$key])) {
                $left[$key] = $entry->dividedBy($by[$key]);
            }
        }

        return $left;
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

        return [array_map(static fn (Rational $entry): Rational => $entry->dividedBy($most), $table), $most->log()];
    }

    public function shares(array $table, int $size): ?array
    {
        $sum = Weights::sum($table);
        if ($sum->isZero()) {
            return null;
        }

        return array_map(
            static fn (int $i): Rational => isset($table[$i]) ? $table[$i]->dividedBy($sum) : Rational::zero(),
            range(0, $size - 1),
        );
    }

    public function float(mixed $number): float
    {
        return $number->toFloat();
    }
}
