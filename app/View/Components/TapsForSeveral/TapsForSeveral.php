<?php

declare(strict_types=1);

namespace App\View\Components\TapsForSeveral;

use App\View\Components\Part\Part;

/** One tap for all that are ticked in the list above; the date can be changed. */
class TapsForSeveral extends Part
{
    public function __construct(
        public readonly string $id,
    ) {}
}
