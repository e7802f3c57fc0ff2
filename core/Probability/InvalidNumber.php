<?php

declare(strict_types=1);

namespace Destino\Probability;

use Destino\DestinoError;
use InvalidArgumentException;

final class InvalidNumber extends InvalidArgumentException implements DestinoError
{
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
        $shown = mb_substr($text, 0, 30);

        return new self("“{$shown}” is not a number. Write a fraction (1/6), a percentage (16.7%) or a decimal (0.167).");
    }

    public static function tooLong(): self
    {
        return new self('That number has too many digits: at most 30 can be read.');
    }

    public static function outsideUnitInterval(Rational $value): self
    {
        return new self("A chance lies between 0 and 1 (0% and 100%), and {$value->toString()} does not.");
    }

    public static function notACount(string $what, int $value): self
    {
        return new self("The number of {$what} must be 0 or more, not {$value}.");
    }

    public static function tooMany(string $what, int $value, int $most): self
    {
        return new self("{$value} {$what} are more than can be worked out exactly here: at most {$most}.");
    }

    public static function moreHitsThanEggs(int $hits, int $eggs): self
    {
        return new self("{$hits} hits cannot come from {$eggs} eggs.");
    }
}
