<?php

declare(strict_types=1);

namespace App\View\Components\ReadingChart;

use App\Incubation\Chart;
use App\View\Components\Part\Part;

/** Readings over time with their limits; gaps stay open. */
class ReadingChart extends Part
{
    public function __construct(
        public readonly Chart $chart,
    ) {}
}
