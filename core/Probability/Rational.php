<?php

declare(strict_types=1);

namespace Destino\Probability;

use Brick\Math\BigInteger;
use Brick\Math\RoundingMode;

/**
 * An exact rational number, always in lowest terms with a positive denominator.
 *
 * Numbers that fit are kept as native integers; where a step would overflow, it is done again with big integers, and
 * a big result that fits again goes back. Both forms are exact, and a number has one form only, so equal numbers
 * print alike.
 */
readonly class Rational
{
    private const LONGEST_TEXT = 64;

    final protected function __construct(
        private int $numerator,
        private int $denominator,
        private ?BigInteger $bigNumerator = null,
        private ?BigInteger $bigDenominator = null,
    ) {}

    /** The natural logarithm; minus infinity of 0. */
    public function log(): float
    {
        if ($this->isZero()) {
            return -INF;
        }
        $float = $this->toFloat();
        if ($float > 1e-290 && $float < 1e290) {
            return log($float);
        }
        $bits = static fn (BigInteger $number): array => [
            max(0, $number->getBitLength() - 60), $number->shiftedRight(max(0, $number->getBitLength() - 60))->toFloat(),
        ];
        [$up, $above] = $bits($this->numerator()->abs());
        [$down, $under] = $bits($this->denominator());

        return log($above) - log($under) + ($up - $down) * M_LN2;
    }

    /** @throws InvalidNumber when the denominator is 0 */
    public static function of(int $numerator, int $denominator = 1): self
    {
        if ($denominator === 0) {
            throw InvalidNumber::zeroDenominator();
        }
        if ($numerator === PHP_INT_MIN || $denominator === PHP_INT_MIN) {
            return self::ofBig(BigInteger::of($numerator), BigInteger::of($denominator));
        }
        if ($denominator < 0) {
            return self::reduced(-$numerator, -$denominator);
        }

        return self::reduced($numerator, $denominator);
    }

    public static function zero(): self
    {
        return new self(0, 1);
    }

    public static function one(): self
    {
        return new self(1, 1);
    }

    /**
     * Reads what people type: "3/64", "0.25", "25%", "12.5 %".
     *
     * @throws InvalidNumber when the text is none of these
     */
    public static function parse(string $text): self
    {
        $text = trim(str_replace(',', '.', $text));
        if (strlen($text) > self::LONGEST_TEXT) {
            throw InvalidNumber::tooLong();
        }
        if (preg_match('~^(-?\d{1,30})\s*/\s*(\d{1,30})$~', $text, $part) === 1) {
            return self::ofBig(BigInteger::of($part[1]), BigInteger::of($part[2]));
        }
        if (preg_match('~^(-?)(\d{1,18})(?:\.(\d{1,18}))?\s*(%?)$~', $text, $part) !== 1) {
            throw InvalidNumber::unreadable($text);
        }
        $digits = BigInteger::of($part[1].$part[2].$part[3]);
        $places = strlen($part[3]) + ($part[4] === '%' ? 2 : 0);

        return self::ofBig($digits, BigInteger::of(10)->power($places));
    }

    /** @throws InvalidNumber when the denominator is 0 */
    public static function ofBig(BigInteger $numerator, BigInteger $denominator): self
    {
        if ($denominator->isZero()) {
            throw InvalidNumber::zeroDenominator();
        }
        $common = $numerator->gcd($denominator);
        if ($denominator->isNegative()) {
            $common = $common->negated();
        }
        $numerator = $numerator->quotient($common);
        $denominator = $denominator->quotient($common);
        if (self::isNative($numerator) && self::isNative($denominator)) {
            return new self($numerator->toInt(), $denominator->toInt());
        }

        return new self(0, 1, $numerator, $denominator);
    }

    public function plus(self $other): self
    {
        if ($this->bigDenominator === null && $other->bigDenominator === null) {
            $common = self::gcd($this->denominator, $other->denominator);
            $left = $this->numerator * intdiv($other->denominator, $common);
            $right = $other->numerator * intdiv($this->denominator, $common);
            $denominator = intdiv($this->denominator, $common) * $other->denominator;
            // An overflowing product or sum of integers turns into a float: then the exact road is the long one.
            if (is_int($left) && is_int($right) && is_int($denominator)) {
                $numerator = $left + $right;
                if (is_int($numerator) && $numerator !== PHP_INT_MIN) {
                    return self::reduced($numerator, $denominator);
                }
            }
        }

        return self::ofBig(
            $this->numerator()->multipliedBy($other->denominator())->plus($other->numerator()->multipliedBy($this->denominator())),
            $this->denominator()->multipliedBy($other->denominator()),
        );
    }

    public function minus(self $other): self
    {
        return $this->plus($other->negated());
    }

    public function negated(): self
    {
        return $this->bigNumerator === null
            ? new self(-$this->numerator, $this->denominator)
            : new self(0, 1, $this->bigNumerator->negated(), $this->bigDenominator);
    }

    public function times(self $other): self
    {
        if ($this->bigDenominator === null && $other->bigDenominator === null) {
            $left = self::gcd($this->numerator, $other->denominator);
            $right = self::gcd($other->numerator, $this->denominator);
            $numerator = intdiv($this->numerator, $left) * intdiv($other->numerator, $right);
            $denominator = intdiv($this->denominator, $right) * intdiv($other->denominator, $left);
            if (is_int($numerator) && is_int($denominator) && $numerator !== PHP_INT_MIN) {
                return new self($numerator, $denominator);
            }
        }

        return self::ofBig(
            $this->numerator()->multipliedBy($other->numerator()),
            $this->denominator()->multipliedBy($other->denominator()),
        );
    }

    /** @throws InvalidNumber when the divisor is 0 */
    public function dividedBy(self $other): self
    {
        if ($other->isZero()) {
            throw InvalidNumber::zeroDenominator();
        }

        if ($other->bigDenominator === null) { // no native number is the least integer, so that each can change its sign
            return $this->times(
                $other->numerator > 0
                    ? new self($other->denominator, $other->numerator)
                    : new self(-$other->denominator, -$other->numerator),
            );
        }

        return $this->times(self::ofBig($other->denominator(), $other->numerator()));
    }

    /** @param int<0, max> $exponent */
    public function power(int $exponent): self
    {
        return self::ofBig($this->numerator()->power($exponent), $this->denominator()->power($exponent));
    }

    /** 1 minus this number: the chance that it does not happen. */
    public function complement(): self
    {
        return self::one()->minus($this);
    }

    /** @return int below, equal to or above 0 as this number is smaller than, equal to or larger than the other */
    public function compareTo(self $other): int
    {
        if ($this->bigDenominator === null && $other->bigDenominator === null) {
            if ($this->denominator === $other->denominator) {
                return $this->numerator <=> $other->numerator;
            }
            $left = $this->numerator * $other->denominator;
            $right = $other->numerator * $this->denominator;
            if (is_int($left) && is_int($right)) {
                return $left <=> $right;
            }
        }

        return $this->numerator()->multipliedBy($other->denominator())
            ->compareTo($other->numerator()->multipliedBy($this->denominator()));
    }

    public function equals(self $other): bool
    {
        return $this->compareTo($other) === 0;
    }

    public function isZero(): bool
    {
        return $this->bigDenominator === null && $this->numerator === 0;
    }

    public function isOne(): bool
    {
        return $this->bigDenominator === null && $this->numerator === 1 && $this->denominator === 1;
    }

    public function isNegative(): bool
    {
        return $this->bigNumerator?->isNegative() ?? $this->numerator < 0;
    }

    /** Lowest terms: "3/64", "0", "1". */
    public function toString(): string
    {
        $denominator = (string) $this->denominator();

        return $this->numerator().($denominator === '1' ? '' : '/'.$denominator);
    }

    /** The nearest double, for drawing and for decimals in documents; never for further arithmetic. */
    public function toFloat(): float
    {
        if ($this->bigDenominator === null) {
            return $this->numerator / $this->denominator;
        }
        // 64 significant bits of the quotient, however long both sides are.
        $numerator = $this->numerator();
        $shift = $this->denominator()->getBitLength() - $numerator->abs()->getBitLength() + 64;
        $quotient = $shift >= 0
            ? $numerator->shiftedLeft($shift)->quotient($this->denominator())
            : $numerator->quotient($this->denominator()->shiftedLeft(-$shift));

        return $quotient->toFloat() * (2.0 ** -$shift);
    }

    /** This number in hundredths, rounded to the given decimal places: "66.67" for 2/3 and 2. */
    public function toPercent(int $places = 0): string
    {
        $scaled = $this->numerator()->multipliedBy(BigInteger::of(10)->power(2 + max(0, $places)));

        return (string) $scaled->toBigDecimal()
            ->dividedBy($this->denominator()->toBigDecimal(), 0, RoundingMode::HALF_UP)
            ->withPointMovedLeft(max(0, $places));
    }

    public function numerator(): BigInteger
    {
        return $this->bigNumerator ?? BigInteger::of($this->numerator);
    }

    public function denominator(): BigInteger
    {
        return $this->bigDenominator ?? BigInteger::of($this->denominator);
    }

    /** @return array{int, int, BigInteger|null, BigInteger|null} what it is made of, for a number of a narrower kind */
    protected function parts(): array
    {
        return [$this->numerator, $this->denominator, $this->bigNumerator, $this->bigDenominator];
    }

    /** Whether it has the native form: all integers that can be negated. */
    private static function isNative(BigInteger $number): bool
    {
        return $number->getBitLength() <= 62 || ($number->getBitLength() === 63 && ! $number->isEqualTo(PHP_INT_MIN));
    }

    private static function reduced(int $numerator, int $denominator): self
    {
        $common = self::gcd($numerator, $denominator);

        return $common === 1
            ? new self($numerator, $denominator)
            : new self(intdiv($numerator, $common), intdiv($denominator, $common));
    }

    /** @return int<1, max> the greatest common divisor of |a| and b, for b of at least 1 */
    private static function gcd(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return max(1, abs($a));
    }
}
