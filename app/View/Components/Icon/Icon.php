<?php

declare(strict_types=1);

namespace App\View\Components\Icon;

use App\Drawing\Signs;
use App\View\Components\Part\Part;

/** An icon of the shipped set; decorative unless it has a label. */
class Icon extends Part
{
    public readonly string $paths;

    public function __construct(string $name, public readonly ?string $label = null)
    {
        $this->paths = Signs::paths($name);
    }
}
