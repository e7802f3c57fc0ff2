<?php

declare(strict_types=1);

namespace Destino\Money;

use Destino\Notation\Target;
use InvalidArgumentException;

/** What an animal that meets a target goes for: from, to, in minor units of the house's currency. */
final readonly class PriceEntry
{
    public function __construct(public Target $target, public int $low, public int $high)
    {
        if ($low < 0 || $high < $low) {
            throw new InvalidArgumentException("A price from {$low} to {$high} is none.");
        }
    }

    /** Between the two, rounded down to a whole minor unit. */
    public function middle(): int
    {
        return intdiv($this->low + $this->high, 2);
    }
}
