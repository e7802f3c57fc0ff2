<?php

declare(strict_types=1);

namespace Destino\Pairing;

use LogicException;
use SplHeap;

/**
 * The next outcomes to list: most likely first, ties in printer's order.
 *
 * @extends SplHeap<OutcomeNode>
 */
final class OutcomeHeap extends SplHeap
{
    protected function compare(mixed $value1, mixed $value2): int
    {
        if (! $value1 instanceof OutcomeNode || ! $value2 instanceof OutcomeNode) {
            throw new LogicException('This heap holds outcomes only.');
        }
        $byProbability = $value1->probability->compareTo($value2->probability);

        return $byProbability !== 0 ? $byProbability : strcmp($value2->ranks, $value1->ranks);
    }
}
