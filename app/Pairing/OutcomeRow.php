<?php

declare(strict_types=1);

namespace App\Pairing;

use App\Drawing\Bead;
use App\Words\OddsWords;
use Destino\Genome\Effect;
use Destino\Pairing\Outcome;
use Destino\Probability\Rational;

/** One outcome, ready to be drawn as a row or a tile. */
class OutcomeRow
{
    /**
     * @param  list<Bead>  $beads
     * @param  list<Effect>  $marks  what each gene that shows does, one for every copy
     * @param  Rational  $share  P(target | outcome)
     * @param  list<string>  $ownNames  the keeper's own names for it
     */
    public function __construct(
        public readonly int $number,
        public readonly Outcome $outcome,
        public readonly array $beads,
        public readonly ?Effect $tone,
        public readonly array $marks,
        public readonly Rational $share,
        private readonly array $ownNames = [],
    ) {}

    public function isHit(): bool
    {
        return ! $this->share->isZero();
    }

    public function percent(): string
    {
        return OddsWords::percent($this->outcome->probability);
    }

    public function oneIn(): string
    {
        return OddsWords::oneIn($this->outcome->probability);
    }

    public function knownAs(): string
    {
        return implode(', ', [...$this->ownNames, ...$this->outcome->knownAs]);
    }
}
