<?php

declare(strict_types=1);

namespace Destino\Appearance\Skin;

/** The middle line of an animal in the picture: places, ways and turns by length from the snout. */
final class Course
{
    private const STEPS = 24;

    private const ENTRIES = 240;

    /** How far the eye is tilted from straight above, in radians. */
    private const TILT = .74;

    public readonly float $length;

    /** @var list<array{float, float, float, float, float}> x, y, normal and turn, evenly by length */
    private array $table = [];

    private static ?self $lying = null;

    private static ?self $straight = null;

    /** @param list<array{float, float}> $points */
    private function __construct(array $points)
    {
        $line = self::smooth($points);
        $lengths = [0.0];
        foreach (array_slice($line, 1) as $i => [$x, $y]) {
            $lengths[] = $lengths[$i] + hypot($x - $line[$i][0], $y - $line[$i][1]);
        }
        $this->length = $lengths[count($lengths) - 1];
        $k = 0;
        for ($i = 0; $i <= self::ENTRIES; $i++) {
            $at = $this->length * $i / self::ENTRIES;
            while ($k < count($lengths) - 2 && $lengths[$k + 1] < $at) {
                $k++;
            }
            $share = ($at - $lengths[$k]) / max(1e-9, $lengths[$k + 1] - $lengths[$k]);
            [$dx, $dy] = [$line[$k + 1][0] - $line[$k][0], $line[$k + 1][1] - $line[$k][1]];
            $step = max(1e-9, hypot($dx, $dy));
            [$nx, $ny] = [-$dy / $step, $dx / $step];
            $this->table[] = [$line[$k][0] + $share * $dx, $line[$k][1] + $share * $dy, $nx, $ny, atan(tan(self::TILT) * $ny)];
        }
    }

    /** Of an animal that lies in three bends, in a box of 600 by 400. */
    public static function lying(): self
    {
        if (self::$lying === null) {
            $points = [[34, 300], [90, 313], [150, 322], [250, 331], [350, 331], [430, 324]];
            $points = [...$points, ...self::bend(472, 256, 70, 60, -75), [410, 184], [320, 193], [230, 194]];
            $points = [...$points, ...self::bend(148, 124, 67, 115, 255), [220, 58], [320, 70], [430, 78], [510, 62], [570, 34]];
            self::$lying = new self(array_map(static fn (array $at): array => [(float) $at[0], (float) $at[1]], $points));
        }

        return self::$lying;
    }

    /** Of an animal that is laid out straight, in a box of 1000 by 190. */
    public static function straight(): self
    {
        return self::$straight ??= new self([[14.0, 95.0], [350.0, 95.0], [680.0, 95.0], [988.0, 95.0]]);
    }

    /** @return list<array{float, float}> */
    private static function bend(float $x, float $y, float $radius, float $from, float $to): array
    {
        $points = [];
        for ($i = 0; $i < 5; $i++) {
            $angle = deg2rad($from + ($to - $from) * $i / 4);
            $points[] = [$x + $radius * cos($angle), $y + $radius * sin($angle)];
        }

        return $points;
    }

    /**
     * A Catmull-Rom curve through points.
     *
     * @param list<array{float, float}> $points
     * @return list<array{float, float}>
     */
    private static function smooth(array $points): array
    {
        $line = [];
        $last = count($points) - 1;
        for ($i = 0; $i < $last; $i++) {
            [$a, $b, $c, $d] = [$points[max(0, $i - 1)], $points[$i], $points[$i + 1], $points[min($last, $i + 2)]];
            for ($k = 0; $k < self::STEPS; $k++) {
                $t = $k / self::STEPS;
                $line[] = [self::between($a[0], $b[0], $c[0], $d[0], $t), self::between($a[1], $b[1], $c[1], $d[1], $t)];
            }
        }
        $line[] = $points[$last];

        return $line;
    }

    private static function between(float $a, float $b, float $c, float $d, float $t): float
    {
        return $b + .5 * $t * ($c - $a + $t * (2 * $a - 5 * $b + 4 * $c - $d + $t * (3 * ($b - $c) + $d - $a)));
    }

    /** @return array{float, float, float, float, float} x, y, normal and turn at a length from the snout */
    public function at(float $length): array
    {
        $place = max(0.0, min(self::ENTRIES - 1e-6, self::ENTRIES * $length / $this->length));
        $i = (int) $place;
        $t = $place - $i;
        [$a, $b] = [$this->table[$i], $this->table[$i + 1]];

        return [
            $a[0] + $t * ($b[0] - $a[0]), $a[1] + $t * ($b[1] - $a[1]), $a[2] + $t * ($b[2] - $a[2]), $a[3] + $t * ($b[3] - $a[3]),
            $a[4] + $t * ($b[4] - $a[4]),
        ];
    }
}
