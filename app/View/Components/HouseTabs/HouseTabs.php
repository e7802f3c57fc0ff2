<?php

declare(strict_types=1);

namespace App\View\Components\HouseTabs;

use App\View\Components\Tabs\Tabs;
use Illuminate\Support\Facades\Gate;

/** The rooms of the house: those that whoever is signed in may enter. */
class HouseTabs extends Tabs
{
    public function label(): string
    {
        return 'House';
    }

    public function rooms(): array
    {
        return array_filter([
            'rules' => ['Rules', route('house')],
            'racks' => Gate::allows('manage') ? ['Racks', route('racks.index')] : null,
            'money' => Gate::allows('money') ? ['Money', route('money')] : null,
            'exchange' => Gate::allows('manage') ? ['Import and export', route('exchange')] : null,
            'backups' => Gate::allows('keep-installation') ? ['Backups', route('backups')] : null,
            'people' => Gate::allows('manage') ? ['People', route('people.index')] : null,
            'account' => ['Your account', route('account')],
        ]);
    }
}
