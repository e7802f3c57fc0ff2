<?php

declare(strict_types=1);

namespace Destino\Probability;

/** Arithmetic on numbers that are fractions where these are short enough and floats elsewhere; of both kinds together it is floats. */
final class Number
{
    /** Digits of a fraction that is still shown. */
    private const DIGITS = 18;

    public static function plus(Rational|float $a, Rational|float $b): Rational|float
    {
        return $a instanceof Rational && $b instanceof Rational ? $a->plus($b) : self::float($a) + self::float($b);
    }

    public static function times(Rational|float $a, Rational|float $b): Rational|float
    {
        return $a instanceof Rational && $b instanceof Rational ? $a->times($b) : self::float($a) * self::float($b);
    }

    public static function over(Rational|float $a, Rational|float $b): Rational|float
    {
        return $a instanceof Rational && $b instanceof Rational ? $a->dividedBy($b) : self::float($a) / self::float($b);
    }

    /** @param array<Rational|float> $numbers */
    public static function sum(array $numbers): Rational|float
    {
        return array_reduce($numbers, self::plus(...), Rational::zero());
    }

    /**
     * Each as a share of the sum; as they are where all are 0.
     *
     * @template K of array-key
     *
     * @param array<K, Rational|float> $numbers
     * @return array<K, Rational|float>
     */
    public static function shares(array $numbers): array
    {
        $sum = self::sum($numbers);

        return self::isZero($sum)
            ? $numbers
            : array_map(static fn (Rational|float $one): Rational|float => self::over($one, $sum), $numbers);
    }

    public static function isZero(Rational|float $number): bool
    {
        return $number instanceof Rational ? $number->isZero() : $number <= 0.0;
    }

    public static function float(Rational|float $number): float
    {
        return $number instanceof Rational ? $number->toFloat() : $number;
    }

    /** @return array{exact: Rational|null, decimal: float} a fraction where it is short */
    public static function shown(Rational|float $p): array
    {
        $isShort = $p instanceof Rational && strlen($p->toString()) <= 2 * self::DIGITS + 1
            && strlen((string) $p->denominator()) <= self::DIGITS;

        return ['exact' => $isShort ? $p : null, 'decimal' => self::float($p)];
    }
}
