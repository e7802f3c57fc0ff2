<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Probability\InvalidNumber;
use Destino\Probability\Probability;
use Destino\Probability\Rational;

/** Percentages as keepers write them: 66 % means two thirds, 33 % one third. */
final readonly class Percentage
{
    private const THIRDS = [
        '66' => 2, '66.6' => 2, '66.66' => 2, '66.67' => 2, '66.7' => 2, '67' => 2, '33' => 1, '33.3' => 1, '33.33' => 1,
    ];

    /** @throws InvalidNumber when the digits are not a number above 0 and up to 100 */
    public static function parse(string $digits): Rational
    {
        $digits = str_replace(',', '.', $digits);
        if (isset(self::THIRDS[$digits])) {
            return Rational::of(self::THIRDS[$digits], 3);
        }
        $chance = Probability::typed($digits.'%');

        return $chance->isZero() ? throw InvalidNumber::unreadable($digits.'%') : $chance;
    }

    /** "66%" for 2/3, "12.5%" for 1/8, else rounded: "6%" for 1/17; never 0 % or 100 % for what is neither. */
    public static function print(Rational $chance): string
    {
        if ($chance->equals(Rational::of(2, 3))) {
            return '66%';
        }
        for ($places = 0; $places <= 2; $places++) {
            if (Rational::parse($chance->toPercent($places).'%')->equals($chance)) { // short enough to be told whole
                return $chance->toPercent($places).'%';
            }
        }
        for ($places = 0; $places < 12; $places++) {
            $text = $chance->toPercent($places);
            if ($chance->isOne() || $chance->isZero() || (trim($text, '0.') !== '' && (float) $text < 100.0)) {
                return ($places === 0 ? $text : rtrim(rtrim($text, '0'), '.')).'%';
            }
        }

        return ($chance->compareTo(Rational::of(1, 2)) > 0 ? '99.9999999999' : '0.0000000001').'%';
    }
}
