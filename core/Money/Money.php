<?php

declare(strict_types=1);

namespace Destino\Money;

/** An exact amount: whole minor units (cents) of one currency. */
final readonly class Money
{
    /** Beyond this many minor units something was mistyped. */
    public const MOST = 100_000_000_00;

    private function __construct(public int $minor, public string $currency) {}

    /** @throws MoneyError when the amount is beyond what can be meant */
    public static function of(int $minor, string $currency): self
    {
        return abs($minor) > self::MOST ? throw MoneyError::tooLarge((string) $minor) : new self($minor, $currency);
    }

    public static function zero(string $currency): self
    {
        return new self(0, $currency);
    }

    /**
     * Reads "400", "1,250.50", "1.250,50", "1 250", "€ 80" or "80 €": where both a point and a comma stand, the last one is that
     * of the decimals; a single one followed by three digits separates thousands.
     *
     * @throws MoneyError when it is no amount, has more than two decimals, or names another currency
     */
    public static function parse(string $text, string $currency): self
    {
        $bare = trim(str_ireplace($currency, '', $text));
        if (preg_match('/[^\d.,\s\'’−-]/u', $bare) === 1) {
            throw preg_match('/\d/', $bare) === 1 ? MoneyError::otherCurrency($text, $currency) : MoneyError::unreadable($text);
        }
        $sign = preg_match('/^[−-]/u', $bare) === 1 ? -1 : 1;
        $digits = (string) preg_replace('/[\s\'’−-]/u', '', $bare);
        $decimal = self::decimalMark($digits);
        $at = $decimal === null ? strlen($digits) : (int) strrpos($digits, $decimal);
        [$whole, $part] = [substr($digits, 0, $at), substr($digits, $at + 1)];
        $whole = preg_match('/^\d{1,3}([.,]\d{3})*$/', $whole) === 1 ? str_replace(['.', ','], '', $whole) : $whole;
        if ($whole.$part === '' || ! ctype_digit($whole.$part) || strlen($part) > 2 || strlen($whole) > 12) {
            throw strlen($whole) > 12 ? MoneyError::tooLarge($text) : MoneyError::unreadable($text);
        }

        return self::of($sign * ((int) $whole * 100 + (int) str_pad($part, 2, '0')), $currency);
    }

    private static function decimalMark(string $digits): ?string
    {
        $last = max((int) strrpos($digits, '.'), (int) strrpos($digits, ','));
        $marks = substr_count($digits, '.') + substr_count($digits, ',');
        $isThousands = strlen($digits) - $last - 1 === 3
            && ($marks === 1 || count(array_unique(str_split((string) preg_replace('/\d/', '', $digits)))) === 1);

        return $marks === 0 || $isThousands ? null : $digits[$last];
    }

    /** @throws MoneyError when the currencies differ */
    public function plus(self $other): self
    {
        return $this->currency === $other->currency
            ? self::of($this->minor + $other->minor, $this->currency)
            : throw MoneyError::mixed($this->currency, $other->currency);
    }

    /** @throws MoneyError when the currencies differ */
    public function minus(self $other): self
    {
        return $this->plus($other->negated());
    }

    public function negated(): self
    {
        return new self(-$this->minor, $this->currency);
    }

    public function isNegative(): bool
    {
        return $this->minor < 0;
    }

    /** "€ 1,250" or "€ 1,250.50"; a loss as "−€ 80". */
    public function words(): string
    {
        $amount = number_format(abs($this->minor) / 100, $this->minor % 100 === 0 ? 0 : 2);

        return ($this->minor < 0 ? '−' : '')."{$this->currency} {$amount}";
    }
}
