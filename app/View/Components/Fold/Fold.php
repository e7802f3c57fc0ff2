<?php

declare(strict_types=1);

namespace App\View\Components\Fold;

use App\View\Components\Part\Part;

/** A part of a page that is folded away: its name, and the main fact that is in it. */
class Fold extends Part
{
    public function __construct(public readonly string $name, public readonly string $fact = '', public readonly bool $open = false) {}
}
