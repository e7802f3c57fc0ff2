<?php

declare(strict_types=1);

namespace App\Drawing;

/** Closed outlines as the path of an SVG, in as few characters as they need. */
class Outline
{
    /**
     * A closed outline of straight sides, in whole units: nobody sees more of it in a small drawing.
     *
     * @param list<array{float, float}> $points
     */
    public static function straight(array $points): string
    {
        $path = '';
        $last = null;
        foreach ($points as [$x, $y]) {
            $at = [(int) round($x), (int) round($y)];
            if ($at === $last) {
                continue;
            }
            $path .= $last === null
                ? 'M'.self::pair(...$at).'l'
                : (str_ends_with($path, 'l') || $at[0] < $last[0] ? '' : ' ').self::pair($at[0] - $last[0], $at[1] - $last[1]);
            $last = $at;
        }

        return $path.'z';
    }

    /**
     * A closed outline that is drawn through the middles between points.
     *
     * @param list<array{float, float}> $points
     */
    public static function rounded(array $points): string
    {
        $count = count($points);
        $middle = fn (int $i): string => self::number(($points[$i][0] + $points[($i + 1) % $count][0]) / 2).' '
            .self::number(($points[$i][1] + $points[($i + 1) % $count][1]) / 2);
        $path = 'M'.$middle($count - 1);
        for ($i = 0; $i < $count; $i++) {
            $path .= 'Q'.self::number($points[$i][0]).' '.self::number($points[$i][1]).' '.$middle($i);
        }

        return $path.'z';
    }

    /** Two numbers of a path: a minus parts them, a blank where there is none. */
    public static function pair(int $x, int $y): string
    {
        return $x.($y < 0 ? '' : ' ').$y;
    }

    public static function number(float $number): string
    {
        return rtrim(rtrim(number_format($number, 1, '.', ''), '0'), '.');
    }
}
