<?php

declare(strict_types=1);

namespace App\View\Components\QuickLog;

use App\House\House;
use App\Models\Animal;
use App\View\Components\Part\Part;

/** What is logged most of an animal, a tap each, at the top of its page: stored on the device, then sent. */
class QuickLog extends Part
{
    /** What a tap logs: the word, and the fields that say it. */
    private const TAPS = [
        'Fed' => ['kind' => 'feed', 'outcome' => 'taken'], 'Refused' => ['kind' => 'feed', 'outcome' => 'refused'],
        'Shed' => ['kind' => 'shed'],
    ];

    public function __construct(public readonly Animal $animal, private readonly House $house) {}

    /** @return array<string, array<string, string>> */
    public function taps(): array
    {
        return self::TAPS;
    }

    public function unit(): string
    {
        return $this->house->weightUnit();
    }
}
