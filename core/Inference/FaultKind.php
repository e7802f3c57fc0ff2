<?php

declare(strict_types=1);

namespace Destino\Inference;

/** What may be wrong where young hatched that the records exclude. */
enum FaultKind: string
{
    /** A parent carries a gene that nobody mentioned, hidden or overlooked. */
    case Unrecorded = 'unrecorded';
    /** The hatchling is not what it is said to be. */
    case Misidentified = 'misidentified';
    /** Another male, sperm kept from an earlier season included. */
    case OtherSire = 'other-sire';
    /** A gene is another line or allele than it is called. */
    case Misnamed = 'misnamed';
    case Mutation = 'mutation';
}
