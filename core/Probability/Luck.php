<?php

declare(strict_types=1);

namespace Destino\Probability;

/** How unlikely it is to see so few, or so many, hits: k hits in n eggs at chance p, exactly. */
final readonly class Luck
{
    public Probability $chance;

    private Binomial $law;

    /**
     * @param int<0, max> $eggs
     * @param int<0, max> $hits
     *
     * @throws InvalidNumber when the chance lies outside [0, 1], a count is negative, or there are more hits than eggs
     */
    public function __construct(Rational $chance, public int $eggs, public int $hits)
    {
        $this->chance = Probability::from($chance);
        $this->law = new Binomial($eggs, $this->chance);
        if ($hits < 0) { // @phpstan-ignore smaller.alwaysFalse (callers outside the analysed code)
            throw InvalidNumber::notACount('hits', $hits);
        }
        if ($hits > $eggs) {
            throw InvalidNumber::moreHitsThanEggs($hits, $eggs);
        }
    }

    /** P(this many hits or fewer). */
    public function atMost(): Rational
    {
        return $this->law->atMost($this->hits);
    }

    /** P(this many hits or more). */
    public function atLeast(): Rational
    {
        return $this->law->atLeast($this->hits);
    }

    public function expected(): Rational
    {
        return $this->chance->times(Rational::of($this->eggs));
    }

    public function isBelowExpected(): bool
    {
        return Rational::of($this->hits)->compareTo($this->expected()) < 0;
    }

    public function isAsExpected(): bool
    {
        return Rational::of($this->hits)->equals($this->expected());
    }

    /** P(doing at least this badly), or at least this well where the hits are not below what was expected. */
    public function tail(): Rational
    {
        return $this->isBelowExpected() ? $this->atMost() : $this->atLeast();
    }

    /** The law itself, for drawing: P(k hits). */
    public function probabilityOf(int $hits): Rational
    {
        return $this->law->exactly($hits);
    }

    /** "1 in N": N = 1 / tail, null where the tail is 0 (it cannot happen). */
    public function oneIn(): ?Rational
    {
        $tail = $this->tail();

        return $tail->isZero() ? null : Rational::one()->dividedBy($tail);
    }
}
