<?php

declare(strict_types=1);

namespace App\View\Components\Part;

use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/**
 * A part of pages, <x-egg-tray> for EggTray: a folder of its own with the class of its options, view.blade.php, and where it has
 * them style.css and module.js. bin/publish-parts.php brings these two to the browser.
 */
abstract class Part extends Component
{
    public function render(): View
    {
        return view('parts::'.$this->folder().'.view');
    }

    /** Name of the folder that its view is in. */
    protected function folder(): string
    {
        return class_basename(static::class);
    }
}
