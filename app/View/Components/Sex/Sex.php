<?php

declare(strict_types=1);

namespace App\View\Components\Sex;

use App\Models\Animal;
use App\View\Components\Part\Part;

/** The sex of an animal as a sign with words. */
class Sex extends Part
{
    public function __construct(
        public readonly Animal $animal,
    ) {}
}
