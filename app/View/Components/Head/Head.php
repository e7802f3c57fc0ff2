<?php

declare(strict_types=1);

namespace App\View\Components\Head;

use App\View\Components\Part\Part;

/** What a browser needs before the page: its name, the styles, the scripts. */
class Head extends Part
{
    public function __construct(public readonly string $title) {}
}
