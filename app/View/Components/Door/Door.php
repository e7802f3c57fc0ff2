<?php

declare(strict_types=1);

namespace App\View\Components\Door;

use App\View\Components\Part\Part;

/** A page for those who are not signed in. */
class Door extends Part
{
    public function __construct(
        public readonly string $title,
    ) {}
}
