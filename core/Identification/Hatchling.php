<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Sex;
use Destino\Notation\Target;

/** A young of a clutch, and what was seen of it. */
final readonly class Hatchling
{
    /**
     * @param int|null $days age; null: every cue can be read
     * @param Target|null $saw a look that is stated in words, taken as sure
     * @param array<string, int> $cues number of the state that was seen, by cue
     */
    public function __construct(
        public string $id, public ?Sex $sex = null, public ?int $days = null, public ?Target $saw = null, public array $cues = [],
    ) {}
}
