<?php

declare(strict_types=1);

namespace App\View\Components\Tray;

use App\Looks\Prints;
use App\Pairing\Tray as Area;
use App\View\Components\Part\Part;

/** The whole of a pairing as one area, cut by share; hits are outlined. */
class Tray extends Part
{
    public function __construct(
        public readonly Area $tray,
        public readonly ?Prints $prints = null,
    ) {}
}
