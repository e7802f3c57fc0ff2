<?php

declare(strict_types=1);

namespace App\View\Components\Descendants;

use App\Family\DescendantTree;
use App\View\Components\Part\Part;

/** Descendants, one column a generation; drawn as the ancestors are. */
class Descendants extends Part
{
    public function __construct(
        public readonly DescendantTree $tree,
        public readonly string $name,
    ) {}
}
