<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** Colours as the eye takes them. */
final class Colour
{
    /** How far apart two sRGB colours are, in CIE L*a*b*. */
    public static function apart(int $one, int $other): float
    {
        [$a, $b] = [self::lab($one), self::lab($other)];

        return sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
    }

    /** @return array{float, float, float} CIE L*a*b* of an sRGB colour (IEC 61966-2-1, D65) */
    public static function lab(int $colour): array
    {
        $linear = static function (int $value): float {
            $share = $value / 255;

            return $share <= .04045 ? $share / 12.92 : (($share + .055) / 1.055) ** 2.4;
        };
        [$r, $g, $b] = [$linear($colour >> 16 & 255), $linear($colour >> 8 & 255), $linear($colour & 255)];
        $f = static fn (float $t): float => $t > .008856 ? $t ** (1 / 3) : 7.787 * $t + 16 / 116;
        $x = $f((.4124 * $r + .3576 * $g + .1805 * $b) / .95047);
        $y = $f(.2126 * $r + .7152 * $g + .0722 * $b);
        $z = $f((.0193 * $r + .1192 * $g + .9505 * $b) / 1.08883);

        return [116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z)];
    }
}
