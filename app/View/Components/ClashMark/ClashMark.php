<?php

declare(strict_types=1);

namespace App\View\Components\ClashMark;

use App\Models\Animal;
use App\View\Components\Part\Part;

/** The mark of an animal whose records do not fit: it opens what may explain it in place. */
class ClashMark extends Part
{
    public function __construct(
        public readonly Animal $animal,
        public readonly string $words = 'conflict',
    ) {}
}
