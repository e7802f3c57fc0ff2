<?php

declare(strict_types=1);

namespace App\View\Components\ProveTabs;

use App\View\Components\Tabs\Tabs;

/** The rooms of proving. */
class ProveTabs extends Tabs
{
    public function label(): string
    {
        return 'Prove';
    }

    public function rooms(): array
    {
        return ['desk' => ['Open questions', route('prove')], 'luck' => ['Luck', route('luck')]];
    }
}
