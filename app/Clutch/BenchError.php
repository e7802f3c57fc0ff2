<?php

declare(strict_types=1);

namespace App\Clutch;

use Destino\DestinoError;
use DomainException;

/** Why the hatchlings of a clutch cannot be told apart yet. */
final class BenchError extends DomainException implements DestinoError
{
    public static function noSire(): self
    {
        return new self('No sire of this clutch is in the collection: without one nothing follows from the parents. Name a possible sire.');
    }
}
