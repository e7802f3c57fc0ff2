<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Destino\Money\Money;
use Destino\Money\MoneyError;

/** For forms with amounts of money in the currency of the house. */
trait ReadsMoney
{
    /** A rule: an amount that is not below nothing. */
    protected function amount(): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail): void {
            try {
                $money = $this->money($value);
                if ($money !== null && $money->isNegative()) {
                    $fail('An amount of money is not below 0.');
                }
            } catch (MoneyError $error) {
                $fail($error->getMessage());
            }
        };
    }

    /** @throws MoneyError when it cannot be read */
    protected function money(mixed $typed): ?Money
    {
        return is_string($typed) && trim($typed) !== '' ? Money::parse($typed, $this->opened()->house->currency()) : null;
    }

    protected function minor(string $field): ?int
    {
        return $this->money($this->input($field))?->minor;
    }
}
