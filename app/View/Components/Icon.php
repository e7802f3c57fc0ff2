<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Drawing\Signs;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** An icon of the shipped set; decorative unless it has a label. */
class Icon extends Component
{
    public readonly string $paths;

    public function __construct(string $name, public readonly ?string $label = null)
    {
        $this->paths = Signs::paths($name);
    }

    public function render(): View
    {
        return view('components.icon');
    }
}
