<?php

declare(strict_types=1);

namespace App\View\Components\IncubatorForm;

use App\House\House;
use App\Models\Incubator;
use App\View\Components\Part\Part;

/** An incubator with its limits, in the unit of the house. */
class IncubatorForm extends Part
{
    public readonly string $unit;

    public function __construct(
        public readonly House $house,
        public readonly ?Incubator $incubator = null,
        public readonly ?string $token = null,
        public readonly string $place = '',
    ) {
        $this->unit = $house->simple('temperature') === 'C' ? '°C' : '°F';
    }

    /** A temperature as it is typed. */
    public function typed(float $celsius): string
    {
        return rtrim($this->house->temperature($celsius), ' °CF');
    }
}
