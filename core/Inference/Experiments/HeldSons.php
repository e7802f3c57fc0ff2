<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Probability\Rational;

/**
 * Proving a female that may be het for a recessive without a visual mate: sons of hers by a male that does not carry it are
 * held back, each a carrier with 1/2 if she is one, and bred to her; a carrier shows visuals with 1/4 an egg.
 */
final readonly class HeldSons
{
    /** @param int<0, max> $sons */
    public function __construct(public int $sons) {}

    /** P(at least one son carries it | she does). */
    public function oneCarries(): Rational
    {
        return Rational::of(1, 2)->power($this->sons)->complement();
    }

    /**
     * P(a visual hatches of at least one of them | she carries it), with so many eggs that hatch of each son.
     *
     * @param int<0, max> $eggs
     */
    public function proves(int $eggs): Rational
    {
        $silent = Rational::of(1, 2)->plus(Rational::of(1, 2)->times(Rational::of(3, 4)->power($eggs)));

        return $silent->power($this->sons)->complement();
    }
}
