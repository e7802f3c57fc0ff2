<?php

declare(strict_types=1);

namespace Destino\Husbandry;

use Destino\DestinoError;
use DomainException;

final class PedigreeError extends DomainException implements DestinoError
{
    public static function ownAncestor(string $animal): self
    {
        return new self("The animal {$animal} would be its own ancestor.");
    }

    public static function unknownAnimal(string $animal): self
    {
        return new self("The pedigree does not hold the animal {$animal}.");
    }
}
