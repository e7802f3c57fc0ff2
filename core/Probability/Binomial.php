<?php

declare(strict_types=1);

namespace Destino\Probability;

use Brick\Math\BigInteger;

/** The binomial law: hits among n independent eggs, each a hit with the same exact chance. */
final readonly class Binomial
{
    /** Above this the integers of the exact answer have too many digits to wait for. */
    public const MOST_EGGS = 10_000;

    public Probability $chance;

    /**
     * @param int<0, max> $eggs
     *
     * @throws InvalidNumber when the eggs are negative or too many, or the chance lies outside [0, 1]
     */
    public function __construct(public int $eggs, Rational $chance)
    {
        if ($eggs < 0) { // @phpstan-ignore smaller.alwaysFalse (callers outside the analysed code)
            throw InvalidNumber::notACount('eggs', $eggs);
        }
        if ($eggs > self::MOST_EGGS) {
            throw InvalidNumber::tooMany('eggs', $eggs, self::MOST_EGGS);
        }
        $this->chance = Probability::from($chance);
    }

    /** P(hits = k). */
    public function exactly(int $hits): Rational
    {
        return $this->between($hits, $hits);
    }

    /** P(hits ≤ k). */
    public function atMost(int $hits): Rational
    {
        return $hits * 2 <= $this->eggs ? $this->between(0, $hits) : $this->between($hits + 1, $this->eggs)->complement();
    }

    /** P(hits ≥ k). */
    public function atLeast(int $hits): Rational
    {
        return $this->atMost($hits - 1)->complement();
    }

    /**
     * P(from ≤ hits ≤ to) = Σ C(n, k) aᵏ bⁿ⁻ᵏ / dⁿ for the chance a/d and b = d − a, summed over one denominator.
     */
    private function between(int $from, int $to): Rational
    {
        $a = $this->chance->numerator();
        $d = $this->chance->denominator();
        $b = $d->minus($a);
        $sum = BigInteger::zero();
        $from = max(0, $from);
        $to = min($this->eggs, $to);
        if ($b->isZero()) {
            return $from <= $this->eggs && $to === $this->eggs ? Rational::one() : Rational::zero();
        }
        for ($k = $from, $term = null; $k <= $to; $k++) {
            $term = $term === null
                ? self::choose($this->eggs, $k)->multipliedBy($a->power($k))->multipliedBy($b->power(max(0, $this->eggs - $k)))
                : $term->multipliedBy($a->multipliedBy($this->eggs - $k + 1))->quotient($b->multipliedBy($k));
            $sum = $sum->plus($term);
        }

        return Rational::ofBig($sum, $d->power($this->eggs));
    }

    /**
     * C(n, k), the number of ways to choose k of n.
     *
     * @param int<0, max> $k
     */
    private static function choose(int $n, int $k): BigInteger
    {
        $ways = BigInteger::one();
        for ($i = 1; $i <= min($k, $n - $k); $i++) {
            $ways = $ways->multipliedBy($n - $i + 1)->quotient($i);
        }

        return $ways;
    }
}
