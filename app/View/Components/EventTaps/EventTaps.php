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
     * @param bool $isShort whether the others are folded
     */
    public function __construct(
        public readonly Clutch $clutch,
        public readonly array $taps,
        public readonly string $from = '',
        public readonly bool $isLead = false,
        public readonly bool $isShort = false,
    ) {}

    /** @return list<EventKind> what is seen at once */
    public function first(): array
    {
        return $this->isShort ? array_slice($this->taps, 0, 1) : $this->taps;
    }

    /** @return list<EventKind> */
    public function others(): array
    {
        return $this->isShort ? array_slice($this->taps, 1) : [];
    }

    /** Whether laying is among them, of which more is known than a number. */
    public function isLaying(): bool
    {
        return in_array(EventKind::Laid, $this->taps, true);
    }
}
