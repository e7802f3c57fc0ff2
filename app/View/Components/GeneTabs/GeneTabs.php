<?php

declare(strict_types=1);

namespace App\View\Components\GeneTabs;

use App\View\Components\Tabs\Tabs;

/** The rooms of the genes. */
class GeneTabs extends Tabs
{
    public function label(): string
    {
        return 'Genes';
    }

    public function rooms(): array
    {
        return [
            'genes' => ['All genes', route('genes.index')],
            'compare' => ['Compare', route('looks.compare')],
            'design' => ['Design', route('looks.design')],
            'confusions' => ['Look-alikes', route('looks.confusions')],
            'train' => ['Train', route('train')],
        ];
    }
}
