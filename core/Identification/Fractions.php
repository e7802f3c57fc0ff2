<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Probability\Rational;

/** @implements Arithmetic<Rational> */
final class Fractions implements Arithmetic
{
    public function of(Rational $number): Rational
    {
        return $number;
    }

    public function zero(): Rational
    {
        return Rational::zero();
    }

    public function plus(mixed $a, mixed $b): Rational
    {
        return $a->plus($b);
    }

    public function times(mixed $a, mixed $b): Rational
    {
        return $a->times($b);
    }

    public function over(mixed $a, mixed $b): Rational
    {
        return $a->dividedBy($b);
    }

    public function isZero(mixed $a): bool
    {
        return $a->isZero();
    }

    public function dot(array $chances, array $evidence): Rational
    {
        $sum = Rational::zero();
        foreach ($chances as $i => $chance) {
            $sum = $sum->plus($chance->times($evidence[$i]));
        }

        return $sum;
    }

    public function add(array &$to, mixed $factor, array $chances, array $evidence): void
    {
        foreach ($chances as $i => $chance) {
            $own = $factor->times($chance)->times($evidence[$i]);
            $to[$i] = isset($to[$i]) ? $to[$i]->plus($own) : $own;
        }
    }

    public function scaled(array $numbers): array
    {
        return $numbers;
    }
}
