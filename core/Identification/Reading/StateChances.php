<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/**
 * Chances of the states of a cue as they are read from a look. A state of a line has the share of a logistic distribution around the
 * reading that lies between its cuts; a mark stands with odds exp((reading − cut) / width) against the line. The width is the
 * keeper's error of reading, times its factor by age, with the spread among animals of one genotype and what is not known of the look:
 * w² = (w₀·A)² + 3/π² · (spread² + τ²).
 */
final class StateChances
{
    /** A mark's odds are within e to the plus or minus this. */
    private const MOST_ODDS = 12.0;

    /**
     * Chances as the reading gives them, before their windows.
     *
     * @return list<float> in the order of the states
     */
    public static function of(LookReading $reading, Amounts $look, int $days): array
    {
        $odds = [];
        $shift = $reading->eye->shift / $reading->eye->spread; // cuts move by widths of the shipped eye
        $sum = 1.0;
        foreach ($reading->marks as $mark) {
            $width = self::width($reading, $mark, $look, $days);
            $z = ($mark->reading->of($look) - $mark->cut) / $width - $shift;
            $sum += $odds[$mark->state] = exp(max(-self::MOST_ODDS, min(self::MOST_ODDS, $z)));
        }
        $chances = array_fill(0, count($reading->grades), 0.0);
        foreach ($odds as $state => $one) {
            $chances[$state] = $one / $sum;
        }
        $line = $reading->line;
        $value = $line->reading->of($look);
        $width = self::width($reading, $line, $look, $days);
        $below = 0.0;
        foreach ($line->states as $i => $state) {
            $until = isset($line->cuts[$i]) ? self::logistic(($line->cuts[$i] - $value) / $width + $shift) : 1.0;
            $chances[$state] = ($until - $below) / $sum;
            $below = $until;
        }

        return array_values($chances);
    }

    private static function width(LookReading $reading, Line|Mark $of, Amounts $look, int $days): float
    {
        $own = $of->width * $reading->ageing->factor($days);

        return $reading->eye->spread * sqrt($own ** 2 + 3 / M_PI ** 2 * ($of->reading->spread($look) + $look->unsure() ** 2));
    }

    private static function logistic(float $z): float
    {
        return 1 / (1 + exp(-$z));
    }
}
