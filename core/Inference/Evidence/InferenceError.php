<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\DestinoError;
use Destino\Genome\Sex;
use DomainException;

final class InferenceError extends DomainException implements DestinoError
{
    public static function missing(string $where, string $wanted): self
    {
        return new self("The pedigree document wants {$wanted} at {$where}.");
    }

    public static function twice(string $id): self
    {
        return new self("Two animals of the pedigree are called {$id}.");
    }

    public static function unknownAnimal(string $id): self
    {
        return new self("The pedigree names {$id}, which is not in it.");
    }

    public static function ownAncestor(string $id): self
    {
        return new self("The animal {$id} would be its own ancestor.");
    }

    /** @param list<string> $line each the parent of the next, back to the first */
    public static function cycle(array $line): self
    {
        return new self('The records make a circle: '.implode(', a parent of ', $line).'. One of these parents is wrong.');
    }

    public static function parentOfWrongSex(string $parent, Sex $wanted, string $young): self
    {
        $role = $wanted === Sex::Male ? 'sire' : 'dam';

        return new self("{$parent} is recorded as the {$role} of {$young} and is not {$wanted->value}.");
    }

    public static function bothParents(string $parent, string $young): self
    {
        return new self("{$parent} is recorded as the sire and as the dam of {$young}.");
    }

    public static function twoRoles(string $animal, string $sireOf, string $damOf): self
    {
        return new self("{$animal} is recorded as the sire of {$sireOf} and as the dam of {$damOf}.");
    }

    public static function clutchDiffers(string $clutch): self
    {
        return new self("The young of the clutch {$clutch} are recorded with different parents.");
    }
}
