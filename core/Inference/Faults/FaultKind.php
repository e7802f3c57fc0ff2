<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** What may be wrong where young hatched that the records exclude. */
enum FaultKind: string
{
    /** A parent carries a gene that nobody mentioned, overlooked. */
    case Unrecorded = 'unrecorded';
    /** The hatchling is not what it is said to be. */
    case Misidentified = 'misidentified';
    /** Another male, sperm kept from an earlier season included. */
    case OtherSire = 'other-sire';
    /** A gene is another line or allele than it is called. */
    case Misnamed = 'misnamed';
    /** A parent carries a gene that its own form hides. */
    case Masked = 'masked';
    case Mutation = 'mutation';

    /** Whether its genes come into question by it, even where nothing else is recorded of them. */
    public function isHeardAnywhere(): bool
    {
        return $this === self::Unrecorded || $this === self::Masked || $this === self::Mutation;
    }
}
