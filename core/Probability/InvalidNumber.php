<?php

declare(strict_types=1);

namespace Destino\Probability;

use Destino\CarriesFacts;
use Destino\DestinoError;
use InvalidArgumentException;

final class InvalidNumber extends InvalidArgumentException implements DestinoError
{
    use CarriesFacts;

    public static function zeroDenominator(): self
    {
        return new self('A fraction cannot have 0 below the line.');
    }

    public static function notFinite(): self
    {
        return new self('A number must be finite.');
    }

    public static function unreadable(string $text): self
    {
        $shown = self::shown($text, 30);

        return new self(
            "“{$shown}” is not a number. Write a fraction (1/6), a percentage (16.7%) or a decimal (0.167).",
            ['text' => $shown],
        );
    }

    public static function tooLong(): self
    {
        return new self('That number has too many digits: at most 30 can be read.', ['most' => 30]);
    }

    /** @param string $value in lowest terms */
    public static function outsideUnitInterval(string $value): self
    {
        $shown = self::shown($value, 30);

        return new self("A chance lies between 0 and 1 (0% and 100%), and {$shown} does not.", ['value' => $shown]);
    }

    /** @param string $key of what has the weight */
    public static function negativeWeight(string $key, string $weight): self
    {
        $shown = self::shown($weight, 30);

        return new self("Nothing happens less than never: “{$key}” has the weight {$shown}.", ['key' => $key, 'weight' => $shown]);
    }

    /** @param string $total in lowest terms */
    public static function notNormalised(string $total): self
    {
        $shown = self::shown($total, 30);

        return new self("The chances of all that can happen must come to 1, and these come to {$shown}.", ['total' => $shown]);
    }

    public static function notACount(string $what, int $value): self
    {
        return new self("The number of {$what} must be 0 or more, not {$value}.", ['what' => $what, 'value' => $value]);
    }

    public static function tooMany(string $what, int $value, int $most): self
    {
        return new self(
            "{$value} {$what} are more than can be worked out exactly here: at most {$most}.",
            ['what' => $what, 'value' => $value, 'most' => $most],
        );
    }

    public static function moreHitsThanEggs(int $hits, int $eggs): self
    {
        return new self("{$hits} hits cannot come from {$eggs} eggs.", ['hits' => $hits, 'eggs' => $eggs]);
    }
}
