<?php

declare(strict_types=1);

namespace App\View\Components\YearRibbon;

use App\Season\YearRibbon as Year;
use App\View\Components\Part\Part;

/** The keeper's year as a strip at the top of a page at the desk; it leads to Today. */
class YearRibbon extends Part
{
    public function __construct(public readonly Year $year) {}

    public function percent(float $at): string
    {
        return round(100 * $at, 2).'%';
    }

    /** @param array{from: float, to: float} $window */
    public function width(array $window): string
    {
        return $this->percent(max(.004, $window['to'] - $window['from']));
    }
}
