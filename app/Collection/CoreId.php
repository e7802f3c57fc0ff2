<?php

declare(strict_types=1);

namespace App\Collection;

/** How the core names what is recorded in a collection: by a letter and the number of the record. */
final class CoreId
{
    private const ANIMAL = 'a';

    private const COUNT = 'c';

    public static function of(int|string $animal): string
    {
        return self::ANIMAL.$animal;
    }

    public static function ofCount(int|string $count): string
    {
        return self::COUNT.$count;
    }

    /** The number of an animal; null for whatever else is named, such as an offer or a count. */
    public static function animal(string $id): ?int
    {
        return self::record(self::ANIMAL, $id);
    }

    /** The number of a count of hatchlings; null for whatever else is named. */
    public static function count(string $id): ?int
    {
        return self::record(self::COUNT, $id);
    }

    private static function record(string $letter, string $id): ?int
    {
        return preg_match("~^{$letter}(\\d+)\\z~", $id, $found) === 1 ? (int) $found[1] : null;
    }
}
