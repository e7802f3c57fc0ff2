<?php

declare(strict_types=1);

namespace App\View\Components\Tabs;

use App\View\Components\Part\Part;

/** The rooms of a station, side by side. */
abstract class Tabs extends Part
{
    public function __construct(public readonly string $here) {}

    /** Of what the rooms are. */
    abstract public function label(): string;

    /** @return array<string, array{string, string}> words and address by the name of a room */
    abstract public function rooms(): array;

    protected function folder(): string
    {
        return 'Tabs';
    }
}
