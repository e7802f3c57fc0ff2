<?php

declare(strict_types=1);

namespace Destino\Probability;

use Brick\Math\BigInteger;

/** Numbers as people type them. */
final class TypedNumber
{
    private const LONGEST_TEXT = 64;

    /**
     * Reads what people type: "3/64", "0.25", "25%", "12.5 %".
     *
     * @throws InvalidNumber when the text is none of these
     */
    public static function read(string $text): Rational
    {
        $text = trim(str_replace(',', '.', $text));
        if (strlen($text) > self::LONGEST_TEXT) {
            throw InvalidNumber::tooLong();
        }
        if (preg_match('~^(-?\d{1,30})\s*/\s*(\d{1,30})$~', $text, $part) === 1) {
            return Rational::ofBig(BigInteger::of($part[1]), BigInteger::of($part[2]));
        }
        if (preg_match('~^(-?)(\d{1,18})(?:\.(\d{1,18}))?\s*(%?)$~', $text, $part) !== 1) {
            throw InvalidNumber::unreadable($text);
        }
        $digits = BigInteger::of($part[1].$part[2].$part[3]);
        $places = strlen($part[3]) + ($part[4] === '%' ? 2 : 0);

        return Rational::ofBig($digits, BigInteger::of(10)->power($places));
    }
}
