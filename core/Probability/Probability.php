<?php

declare(strict_types=1);

namespace Destino\Probability;

/** A chance: an exact number from 0 to 1. What is computed from chances is a plain number until it has passed this door. */
final readonly class Probability extends Rational
{
    /** @throws InvalidNumber when it is below 0 or above 1 */
    public static function from(Rational $number): self
    {
        if ($number instanceof self) {
            return $number;
        }
        if ($number->isNegative() || $number->compareTo(Rational::one()) > 0) {
            throw InvalidNumber::outsideUnitInterval($number->toString());
        }

        return new self(...$number->parts());
    }

    /**
     * A chance that a person typed: "3/64", "0.25", ".25", "25%", "12.5 %", "1 in 16".
     *
     * @throws InvalidNumber when unreadable, below 0 or above 1
     */
    public static function typed(string $text): self
    {
        if (preg_match('/^\s*(?:about\s+)?(\d+)\s+(?:in|out of|of)\s+(\d+(?:\.\d+)?)\s*$/i', $text, $parts) === 1) {
            $in = Rational::parse($parts[2]);

            return self::from($in->isZero() ? throw InvalidNumber::unreadable($text) : Rational::parse($parts[1])->dividedBy($in));
        }

        return self::from(Rational::parse(preg_match('/^\s*[.,]\d/', $text) === 1 ? '0'.trim($text) : $text));
    }

    public static function zero(): self
    {
        return new self(0, 1);
    }

    public static function one(): self
    {
        return new self(1, 1);
    }

    /** @throws InvalidNumber when it is no chance */
    public static function ratio(int $of, int $in): self
    {
        return self::from(Rational::of($of, $in));
    }
}
