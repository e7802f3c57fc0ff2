<?php

declare(strict_types=1);

namespace App\View\Components\Beads;

use App\Drawing\Bead;
use App\View\Components\Part\Part;

/** The beads of one animal or outcome; with named, each beside its words. */
class Beads extends Part
{
    /** @param list<Bead> $beads */
    public function __construct(
        public readonly array $beads,
        public readonly bool $named = false,
    ) {}
}
