<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\DestinoError;
use Destino\Genome\Sex;
use DomainException;

final class InferenceError extends DomainException implements DestinoError
{
    public static function unknownAnimal(string $id): self
    {
        return new self("The pedigree names the animal {$id}, which is not in it.");
    }

    public static function ownAncestor(string $id): self
    {
        return new self("The animal {$id} would be its own ancestor.");
    }

    public static function parentOfWrongSex(string $parent, Sex $wanted, string $young): self
    {
        $role = $wanted === Sex::Male ? 'sire' : 'dam';

        return new self("{$parent} is recorded as the {$role} of {$young} and is not {$wanted->value}.");
    }
}
