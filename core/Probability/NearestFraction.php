<?php

declare(strict_types=1);

namespace Destino\Probability;

use Brick\Math\BigInteger;

/** The simplest fraction near a number (continued fractions). */
final class NearestFraction
{
    /**
     * The fraction with the smallest denominator that lies within so much of a number. What is not 0
     * never becomes 0: a number smaller than the tolerance is given to within a tenth of itself.
     *
     * @param float $within above 0
     *
     * @throws InvalidNumber when the number is not finite
     */
    public static function of(float $number, float $within): Rational
    {
        if (! is_finite($number)) {
            throw InvalidNumber::notFinite();
        }
        if (abs($number) >= 1e-4 || $number === 0.0) {
            return self::convergent($number, $within);
        }
        $within = min($within, abs($number) / 10);
        // Of small numbers the reciprocal is read, whose fractions stay within the integers; of tiny ones its leading digits.
        $places = max(0, (int) ceil(-log10(abs($number))) - 4);
        $scaled = self::convergent($number * 10 ** min($places, 300), $within * 10 ** min($places, 300));

        return $scaled->dividedBy(Rational::ofBig(BigInteger::of(10)->power(min($places, 300)), BigInteger::one()));
    }

    private static function convergent(float $number, float $within): Rational
    {
        [$low, $one, $below, $under] = [0, 1, 1, 0]; // the last two convergents
        $rest = abs($number);
        for ($step = 0; $step < 40; $step++) {
            $whole = floor($rest);
            if ($whole > 1e15 || $whole * max($one, $under) > 1e17) {
                break; // the digits of a double end here
            }
            [$low, $one] = [$one, (int) $whole * $one + $low];
            [$below, $under] = [$under, (int) $whole * $under + $below];
            if (abs(abs($number) - $one / $under) <= $within || $under > 2_000_000_000 || $rest === $whole) {
                break;
            }
            $rest = 1 / ($rest - $whole);
        }

        return Rational::of($number < 0 ? -$one : $one, max(1, $under));
    }
}
