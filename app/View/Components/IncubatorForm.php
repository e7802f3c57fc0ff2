<?php

declare(strict_types=1);

namespace App\View\Components;

use App\House\House;
use App\Models\Incubator;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/** An incubator with its limits, in the unit of the house. */
class IncubatorForm extends Component
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

    public function render(): View
    {
        return view('components.incubator-form');
    }
}
