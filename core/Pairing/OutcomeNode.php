<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Probability\Rational;

/** An outcome that may be listed next. */
final readonly class OutcomeNode
{
    /**
     * @param string $ranks place in printer's order by block, four bytes each, so that texts compare as the lists would
     * @param list<int> $indices place among the items of the block, by block
     * @param int $moved the last block whose index was raised
     */
    public function __construct(
        public Rational $probability,
        public string $ranks,
        public array $indices,
        public int $moved,
        public int $region,
    ) {}

    /** The outcome after it, with the next item of one block. */
    public function raised(int $block, Rational $probability, int $rank): self
    {
        $indices = $this->indices;
        $indices[$block]++;

        return new self(
            $probability, substr_replace($this->ranks, pack('N', $rank), 4 * $block, 4), array_values($indices), $block, $this->region,
        );
    }
}
