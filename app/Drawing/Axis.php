<?php

declare(strict_types=1);

namespace App\Drawing;

/** Round values for an axis: 1, 2 or 5 times a power of ten, as many as are read at a glance. */
final class Axis
{
    /** @return list<float> from the lowest round value within the range to the highest */
    public static function ticks(float $from, float $to, int $most = 5): array
    {
        if ($to <= $from || $most < 1) {
            return [$from];
        }
        $step = self::step(($to - $from) / $most);
        $ticks = [];
        for ($i = (int) ceil($from / $step - 1e-9); $i * $step <= $to + 1e-9 * $step; $i++) {
            $ticks[] = $i * $step;
        }

        return $ticks;
    }

    /** The least round step that is not smaller. */
    public static function step(float $least): float
    {
        $power = 10 ** floor(log10($least));
        foreach ([1, 2, 5] as $times) {
            if ($times * $power >= $least * (1 - 1e-9)) {
                return $times * $power;
            }
        }

        return 10 * $power;
    }
}
