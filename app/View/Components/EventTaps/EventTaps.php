<?php

declare(strict_types=1);

namespace App\View\Components\EventTaps;

use App\Models\Clutch;
use App\Models\Enums\EventKind;
use App\View\Components\Part\Part;

/** What is logged of a clutch most, a tap each; Other date or number in place. */
class EventTaps extends Part
{
    /**
     * @param list<EventKind> $taps
     * @param bool $isLead whether the first is what the page is for
     */
    public function __construct(
        public readonly Clutch $clutch,
        public readonly array $taps,
        public readonly string $from = '',
        public readonly bool $isLead = false,
    ) {}

    /** Whether laying is among them, of which more is known than a number. */
    public function isLaying(): bool
    {
        return in_array(EventKind::Laid, $this->taps, true);
    }
}
