<?php

declare(strict_types=1);

namespace App\View\Components\AdviceList;

use App\View\Components\Part\Part;
use Destino\Pairing\Advice\Advice;

/** What to know of a pairing, calm and specific, the gravest first. */
class AdviceList extends Part
{
    /** Icon and word of each grade. */
    private const LOOKS = [
        'lethal' => ['x-octagon', 'Dies'], 'serious' => ['exclamation-triangle', 'Serious'], 'watch' => ['eye', 'Watch'],
        'info' => ['info-circle', 'Good to know'],
    ];

    /** @param list<Advice> $advice */
    public function __construct(public readonly array $advice) {}

    /** @return array{string, string} icon and word */
    public function look(Advice $item): array
    {
        return self::LOOKS[$item->severity->value];
    }
}
