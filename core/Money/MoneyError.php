<?php

declare(strict_types=1);

namespace Destino\Money;

use Destino\CarriesFacts;
use Destino\DestinoError;
use InvalidArgumentException;

/** An amount of money that is none, or two that do not go together. */
final class MoneyError extends InvalidArgumentException implements DestinoError
{
    use CarriesFacts;

    public static function unreadable(string $text): self
    {
        return new self('“'.self::shown($text).'” is not an amount. Enter one, for example 350 or 349.50.', ['text' => $text]);
    }

    public static function otherCurrency(string $text, string $currency): self
    {
        return new self(
            '“'.self::shown($text)."” is not in {$currency}, the currency of the house: give the amount in {$currency}.",
            ['text' => $text, 'currency' => $currency],
        );
    }

    public static function tooLarge(string $text): self
    {
        return new self('“'.self::shown($text).'” is more than anybody pays for a snake.', ['text' => $text]);
    }

    public static function mixed(string $one, string $other): self
    {
        return new self("An amount in {$one} and one in {$other} cannot be added.", ['one' => $one, 'other' => $other]);
    }
}
