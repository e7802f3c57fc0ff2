<?php

declare(strict_types=1);

namespace App\View\Components\River;

use App\Projects\River as Course;
use App\View\Part;

/** A route as a river. */
class River extends Part
{
    public function __construct(
        public readonly Course $river,
        public readonly string $label,
        public readonly string $letter,
    ) {}
}
