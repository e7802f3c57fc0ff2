<?php

declare(strict_types=1);

namespace App\Incubation;

use App\Models\Clutch;
use Destino\Season\Warmth;
use Illuminate\Support\Carbon;

/** How far the eggs of clutches have come by the warmth that was measured where they lie. */
class Warmths
{
    private const HOUR = 3600;

    private const DAY = 86_400;

    /** @return Warmth|null null where the eggs lie in no incubator of the records, or nobody knows when they were laid */
    public static function of(Clutch $clutch, Carbon $until): ?Warmth
    {
        $laid = $clutch->laid_on;
        $incubator = $laid === null || $laid->gt($until) ? null : $clutch->incubator;
        if ($laid === null || $incubator === null) {
            return null;
        }
        $from = $laid->getTimestamp();
        $readings = array_map(
            fn (array $hour): array => [($hour['at'] - $from) / self::DAY, $hour['mean']],
            (new Log($incubator))->buckets('temperature', $laid, $until, self::HOUR),
        );

        return Warmth::over($readings, ($until->getTimestamp() - $from) / self::DAY, $incubator->celsius);
    }
}
