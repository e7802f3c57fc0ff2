<?php

declare(strict_types=1);

namespace Destino\Probability;

use Brick\Math\BigInteger;

/** Several runs of eggs, each with a chance of its own, looked at as one: how unlikely were so few, or so many, hits in all? */
final readonly class LuckTogether
{
    public int $eggs;

    public int $hits;

    private Rational $expected;

    /** @param list<Luck> $runs that do not share an egg */
    public function __construct(private array $runs)
    {
        $this->eggs = array_sum(array_map(static fn (Luck $run): int => $run->eggs, $runs));
        $this->hits = array_sum(array_map(static fn (Luck $run): int => $run->hits, $runs));
        $this->expected = array_reduce(
            $runs, static fn (Rational $sum, Luck $run): Rational => $sum->plus($run->expected()), Rational::zero(),
        );
    }

    public function expected(): Rational
    {
        return $this->expected;
    }

    public function isBelowExpected(): bool
    {
        return Rational::of($this->hits)->compareTo($this->expected) < 0;
    }

    /** P(doing at least this badly), or at least this well where the hits are not below what was expected. */
    public function tail(): Rational
    {
        return $this->isBelowExpected() ? $this->atMost($this->hits) : $this->atMost($this->hits - 1)->complement();
    }

    /**
     * P(hits ≤ k) is the sum of the first coefficients of Π (bᵢ + aᵢx)ⁿⁱ over Π dᵢⁿⁱ, for the chances aᵢ/dᵢ and bᵢ = dᵢ − aᵢ.
     */
    private function atMost(int $hits): Rational
    {
        if ($hits < 0) {
            return Rational::zero();
        }
        $ways = [BigInteger::one()];
        $all = BigInteger::one();
        foreach ($this->runs as $run) {
            $a = $run->chance->numerator();
            $d = $run->chance->denominator();
            $all = $all->multipliedBy($d->power($run->eggs));
            for ($egg = 0; $egg < $run->eggs; $egg++) {
                $ways = self::oneMore($ways, $a, $d->minus($a), $hits);
            }
        }
        $sum = BigInteger::zero();
        foreach ($ways as $one) {
            $sum = $sum->plus($one);
        }

        return Rational::ofBig($sum, $all);
    }

    /**
     * @param list<BigInteger> $ways by hits
     * @return list<BigInteger>
     */
    private static function oneMore(array $ways, BigInteger $hit, BigInteger $miss, int $most): array
    {
        $next = [];
        for ($k = 0; $k <= min($most, count($ways)); $k++) {
            $stays = isset($ways[$k]) ? $ways[$k]->multipliedBy($miss) : BigInteger::zero();
            $next[] = $k > 0 ? $stays->plus($ways[$k - 1]->multipliedBy($hit)) : $stays;
        }

        return $next;
    }
}
