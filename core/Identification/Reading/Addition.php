<?php

declare(strict_types=1);

namespace Destino\Identification\Reading;

use Destino\Notation\Target;

/** Amounts that a cue counts with for some genotypes though the drawing does not have them, and why. */
final readonly class Addition
{
    /** @param array<string, float> $amounts by axis */
    public function __construct(public Target $when, public array $amounts, public string $because) {}
}
