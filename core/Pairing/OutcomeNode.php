<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Probability\Rational;

/** An outcome that may be listed next. */
final readonly class OutcomeNode
{
    /**
     * @param list<int> $ranks place in printer's order, by block
     * @param list<int> $indices place among the items of the block, by block
     * @param int $moved the last block whose index was raised
     */
    public function __construct(
        public Rational $probability,
        public array $ranks,
        public array $indices,
        public int $moved,
        public int $region,
    ) {}

    /** The outcome after it, with the next item of one block. */
    public function raised(int $block, Rational $probability, int $rank): self
    {
        $indices = $this->indices;
        $ranks = $this->ranks;
        $indices[$block]++;
        $ranks[$block] = $rank;

        return new self($probability, array_values($ranks), array_values($indices), $block, $this->region);
    }
}
