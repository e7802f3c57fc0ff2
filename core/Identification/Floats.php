<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Probability\Rational;

/** @implements Arithmetic<float> */
final class Floats implements Arithmetic
{
    public function of(Rational $number): float
    {
        return $number->toFloat();
    }

    public function zero(): float
    {
        return 0.0;
    }

    public function plus(mixed $a, mixed $b): float
    {
        return $a + $b;
    }

    public function times(mixed $a, mixed $b): float
    {
        return $a * $b;
    }

    public function over(mixed $a, mixed $b): float
    {
        return $a / $b;
    }

    public function isZero(mixed $a): bool
    {
        return $a <= 0.0;
    }

    public function dot(array $chances, array $evidence): float
    {
        $sum = 0.0;
        foreach ($chances as $i => $chance) {
            $sum += $chance * $evidence[$i];
        }

        return $sum;
    }

    public function add(array &$to, mixed $factor, array $chances, array $evidence): void
    {
        foreach ($chances as $i => $chance) {
            $to[$i] = ($to[$i] ?? 0.0) + $factor * $chance * $evidence[$i];
        }
    }

    public function scaled(array $numbers): array
    {
        $most = $numbers === [] ? 0.0 : max($numbers);

        return $most > 0.0 ? array_map(static fn (float $number): float => $number / $most, $numbers) : $numbers;
    }
}
