<?php

declare(strict_types=1);

namespace Destino\Identification;

/** What a cue shows of a genotype oftener than of another. */
final readonly class Sign
{
    /**
     * @param int $state number of the state that tells most
     * @param float $share P(state | genotype)
     * @param float $otherwise P(state | the other genotype)
     * @param int $otherState number of the state that the other genotype shows most
     */
    public function __construct(
        public Cue $cue, public int $state, public float $share, public float $otherwise, public int $otherState,
    ) {}

    public function stateName(): string
    {
        return $this->cue->states[$this->state];
    }

    /** How much oftener it is seen. */
    public function gain(): float
    {
        return $this->share - $this->otherwise;
    }
}
