<?php

declare(strict_types=1);

namespace App\View\Components\SeasonTabs;

use App\View\Components\Tabs\Tabs;

/** The views of a season: what is planned, what lies in the eggs, what came of it. */
class SeasonTabs extends Tabs
{
    public function label(): string
    {
        return 'Season';
    }

    public function rooms(): array
    {
        return [
            'plan' => ['Plan', route('season.board')],
            'clutches' => ['Clutches', route('clutches.index')],
            'results' => ['Results', route('season.reckoning', now()->format('Y'))],
            'young' => ['Keep or sell', route('young')],
            'incubators' => ['Incubators', route('incubators.index')],
        ];
    }
}
