<?php

declare(strict_types=1);

namespace App\View\Components\ReadingLines;

use App\Drawing\Bead;
use App\View\Components\Part\Part;
use Destino\Notation\Reading;

/** What was understood of a text. */
class ReadingLines extends Part
{
    /** @param list<Bead> $beads */
    public function __construct(
        public readonly Reading $reading,
        public readonly array $beads = [],
    ) {}
}
