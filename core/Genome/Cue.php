<?php

declare(strict_types=1);

namespace Destino\Genome;

/** Something to look for on an animal. */
final readonly class Cue
{
    /**
     * @param int $fromDays age in days from which it can be seen
     * @param float $seenWithGene P(cue | gene)
     * @param float $seenWithoutGene P(cue | no gene)
     */
    public function __construct(
        public string $where,
        public string $text,
        public int $fromDays,
        public float $seenWithGene,
        public float $seenWithoutGene,
    ) {}
}
