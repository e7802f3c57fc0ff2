<?php

declare(strict_types=1);

namespace App\View\Components\BeadKey;

use App\View\Components\Part\Part;

/** What the colours and halves of the beads mean. */
class BeadKey extends Part
{
    public function __construct(
        public readonly bool $sides = true,
    ) {}
}
