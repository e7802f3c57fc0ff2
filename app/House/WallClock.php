<?php

declare(strict_types=1);

namespace App\House;

use Carbon\Exceptions\InvalidFormatException;
use Illuminate\Support\Carbon;

/** Moments as the clock on the wall shows them; readings are kept in UTC, so that a change of the clocks moves nothing. */
final class WallClock
{
    public static function at(int $second): Carbon
    {
        return Carbon::createFromTimestamp($second, config('destino.zone'));
    }

    /**
     * A day and an hour as they were typed or sent; those with a zone of their own keep it.
     *
     * @return Carbon|null null where it is none
     */
    public static function typed(string $text): ?Carbon
    {
        try {
            return Carbon::parse($text, config('destino.zone'))->utc();
        } catch (InvalidFormatException) {
            return null;
        }
    }
}
