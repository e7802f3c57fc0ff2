<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

/** A state of a cue beside its line, seen where its reading reaches the cut. */
final readonly class Mark
{
    /** @param int $state number of a state of the cue */
    public function __construct(public int $state, public Reading $reading, public float $cut, public float $width) {}
}
