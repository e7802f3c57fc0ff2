<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\Misidentified;
use Destino\Inference\Faults\Unrecorded;

/** Sets of faults: which fit together, and what they are called. */
final readonly class FaultSets
{
    /** Two faults that can both be, and are not two words for one. */
    public static function fit(Fault $one, Fault $other): bool
    {
        return ! (
            $one->subject === $other->subject
            && ($one::class === $other::class || $one instanceof Misidentified || $other instanceof Misidentified)
            && ! $one instanceof Unrecorded
        );
    }

    /**
     * @param list<Fault> $some
     * @param list<Fault> $more
     * @return list<Fault> each once
     */
    public static function union(array $some, array $more): array
    {
        $keys = array_map(static fn (Fault $fault): string => $fault->key(), $some);

        return [...$some, ...array_values(array_filter($more, static fn (Fault $fault): bool => ! in_array($fault->key(), $keys, true)))];
    }

    /** @param list<Fault> $faults */
    public static function keyOf(array $faults): string
    {
        $keys = array_map(static fn (Fault $fault): string => $fault->key(), $faults);
        sort($keys);

        return implode('; ', $keys);
    }
}
