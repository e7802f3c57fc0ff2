<?php

declare(strict_types=1);

namespace App\View\Components\LuckRows;

use App\View\Part;

/** Luck by pairing. */
class LuckRows extends Part
{
    /** @param list<array<string, mixed>> $rows */
    public function __construct(
        public readonly array $rows,
        public readonly string $label,
    ) {}
}
