<?php

declare(strict_types=1);

namespace App\View\Components\Bead;

use App\Drawing\Bead as Drawn;
use App\View\Components\Part\Part;

/** A locus as a capsule of two halves. */
class Bead extends Part
{
    public function __construct(
        public readonly Drawn $bead,
        public readonly string $class = '',
    ) {}
}
