<?php

declare(strict_types=1);

namespace App\Collection;

use App\House\House;
use App\Models\User;

/** Gives an animal the next number by the pattern of the house: "{000}" counts, "{year}" is the year. */
class Numbering
{
    /** More are no count: the number of a chip, say. */
    private const MOST_DIGITS = 9;

    /** @param  int  $year  of hatching, or of entering the collection */
    public static function next(User $keeper, House $house, int $year): string
    {
        $pattern = str_replace(['{year}', '{yy}'], [(string) $year, substr((string) $year, 2)], $house->numberPattern());
        if (! preg_match('/\{(0+)\}/', $pattern, $slot)) {
            $slot = ['{000}', '000'];
            $pattern .= '-{000}';
        }
        [$before, $after] = explode($slot[0], $pattern, 2);
        $taken = $keeper->animals()->withTrashed()->whereLike('number', addcslashes($before, '\\%_').'%')->pluck('number');
        $highest = 0;
        foreach ($taken as $number) {
            $middle = substr((string) $number, strlen($before), strlen((string) $number) - strlen($before) - strlen($after));
            $isCounted = ctype_digit($middle) && strlen($middle) <= self::MOST_DIGITS;
            $highest = $isCounted ? max($highest, (int) $middle) : $highest;
        }
        do {
            $next = $before.str_pad((string) ++$highest, strlen($slot[1]), '0', STR_PAD_LEFT).$after;
        } while ($taken->contains($next));

        return $next;
    }

    /** Whether a pattern holds just one counter. */
    public static function isPattern(string $text): bool
    {
        return preg_match_all('/\{0+\}/', $text) === 1 && ! preg_match('/[{}]/', (string) preg_replace('/\{(0+|year|yy)\}/', '', $text));
    }
}
