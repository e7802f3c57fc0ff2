<?php

declare(strict_types=1);

namespace App\View\Components\Pedigree;

use App\Family\PedigreeTree;
use App\View\Components\Part\Part;

/** Ancestors, one column a generation, the sire above the dam; unknown parents are dashed. */
class Pedigree extends Part
{
    public function __construct(
        public readonly PedigreeTree $tree,
    ) {}
}
