<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** How much wider a cue is read in young animals: colours are read badly before the first shed. */
enum Ageing: string
{
    case Colour = 'colour';
    case Pattern = 'pattern';
    case Steady = 'steady';

    /** Factor of the width at an age. */
    public function factor(int $days): float
    {
        $points = match ($this) {
            self::Colour => [[0, 1.7], [9, 1.2], [60, 1.0]],
            self::Pattern => [[0, 1.1], [9, 1.0]],
            self::Steady => [[0, 1.0]],
        };
        $before = $points[0];
        foreach ($points as $point) {
            if ($days <= $point[0]) {
                $span = $point[0] - $before[0];

                return $span === 0 ? $point[1] : $before[1] + ($point[1] - $before[1]) * ($days - $before[0]) / $span;
            }
            $before = $point;
        }

        return $before[1];
    }
}
