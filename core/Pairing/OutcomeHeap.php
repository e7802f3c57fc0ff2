<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Probability\Rational;
use SplHeap;

/**
 * The next outcomes to list: most likely first, ties in printer's order.
 *
 * @extends SplHeap<array{Rational, list<int>, list<int>, int, int}>
 *     probability; printer's ranks by block; index by block; last block that was moved; region
 */
final class OutcomeHeap extends SplHeap
{
    /**
     * @param array{Rational, list<int>, list<int>, int, int} $value1
     * @param array{Rational, list<int>, list<int>, int, int} $value2
     */
    protected function compare(mixed $value1, mixed $value2): int
    {
        $byProbability = $value1[0]->compareTo($value2[0]);

        return $byProbability !== 0 ? $byProbability : $value2[1] <=> $value1[1];
    }
}
