<?php

declare(strict_types=1);

namespace App\View\Components\LuckRows;

use App\View\Components\Part\Part;

/** Luck by pairing. */
class LuckRows extends Part
{
    /** @param list<array<string, mixed>> $rows */
    public function __construct(
        public readonly array $rows,
        public readonly string $label,
    ) {}

    /**
     * Where one looks closer at the luck of a pairing.
     *
     * @param array<string, mixed> $row
     */
    public function address(array $row): string
    {
        return route('luck', ['chance' => $row['chance'], 'eggs' => $row['known'], 'hits' => $row['hits']]);
    }
}
