<?php

declare(strict_types=1);

namespace Destino\Training;

/**
 * When to ask again: the boxes of S. Leitner, So lernt man lernen (1972). What is known moves one box up and is asked after
 * a longer while; what is not goes back to the first.
 */
final readonly class Leitner
{
    /** Days until what lies in a box is asked again. */
    private const DAYS = [0, 1, 3, 7, 16, 35];

    /** The box after an answer. */
    public static function after(int $box, bool $isRight): int
    {
        return $isRight ? min(count(self::DAYS) - 1, max(0, $box) + 1) : 0;
    }

    /** Days from today until a box is due. */
    public static function days(int $box): int
    {
        return self::DAYS[max(0, min(count(self::DAYS) - 1, $box))];
    }

    /** Whether a box is the last: known for good, as far as this way of learning goes. */
    public static function isLast(int $box): bool
    {
        return $box >= count(self::DAYS) - 1;
    }
}
