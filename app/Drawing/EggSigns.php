<?php

declare(strict_types=1);

namespace App\Drawing;

/** What is drawn on an egg, by how it stands: strokes around its middle, for a shell of 19 by 24. */
final class EggSigns
{
    private const SIGNS = [
        'veins' => 'M-6 3q3 -2 4 2t4 1M0 8q1 -3 4 -3', 'no-veins' => 'M-4 6h8', 'pipped' => 'M-7 4l3 -2l2 3l3 -3l3 3l3 -2',
        'opened' => 'M-6 5q6 5 12 0M-6 5q6 1 12 0', 'out' => 'M-9 2l4 4l4 -4l5 4l5 -4', 'given-up' => 'M-5 3l10 6M-5 9l10 -6',
        'dead' => 'M0 3v7M-3 5h6',
    ];

    /** @param string $state as EggState has it */
    public static function of(string $state): ?string
    {
        return self::SIGNS[$state] ?? null;
    }
}
