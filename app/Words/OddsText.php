<?php

declare(strict_types=1);

namespace App\Words;

/** Chances as short texts. */
class OddsText
{
    public static function percent(float $share): string
    {
        return match (true) {
            $share <= 0.0 => "0\u{a0}%",
            $share < .01 => "under 1\u{a0}%",
            $share >= 1.0 => "100\u{a0}%",
            $share > .99 => "over 99\u{a0}%",
            default => round(100 * $share)."\u{a0}%",
        };
    }
}
