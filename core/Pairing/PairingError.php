<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\DestinoError;
use Destino\Genome\Sex;
use DomainException;

final class PairingError extends DomainException implements DestinoError
{
    public static function sexes(Sex $sire, Sex $dam): self
    {
        return new self("A pairing needs a male and a female; these are {$sire->value} and {$dam->value}.");
    }

    public static function nothingHatches(): self
    {
        return new self('Every egg of this pairing dies of its form, so there is no living hatchling to speak of.');
    }

    /** @param list<string> $loci names of those that the texts tie together */
    public static function tooManyCases(array $loci): self
    {
        return new self(
            'What is not known of these parents ties '.implode(', ', $loci)
                .' together in more ways than can be worked out. Name fewer alternatives with “or”, or settle some of them.',
        );
    }
}
