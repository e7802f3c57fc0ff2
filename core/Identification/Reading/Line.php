<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** States of a cue in their order, and the cuts between them. */
final readonly class Line
{
    /**
     * @param non-empty-list<int> $states numbers of states of the cue
     * @param list<float> $cuts ascending, one fewer than states
     * @param float $width the keeper's error of reading
     */
    public function __construct(public array $states, public Reading $reading, public array $cuts, public float $width) {}
}
