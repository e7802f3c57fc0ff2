<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Sex;
use Destino\Inference\Evidence\Individual;
use Destino\Inference\Evidence\Testimony;
use Destino\Notation\Target;

/** A young of a clutch, and what was seen of it. */
final readonly class Hatchling
{
    /**
     * @param int|null $days age; null: every cue can be read
     * @param Target|null $saw a look that is stated in words, taken as sure
     * @param array<string, int> $cues number of the state that was seen, by cue
     * @param list<Testimony> $testimonies what else was said of it
     * @param Individual|null $recorded what the records of its family hold of it, in the place of all that is evidence here
     */
    public function __construct(
        public string $id, public ?Sex $sex = null, public ?int $days = null, public ?Target $saw = null, public array $cues = [],
        public array $testimonies = [], public ?Individual $recorded = null,
    ) {}
}
