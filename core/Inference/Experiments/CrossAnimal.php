<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Genome\Belief;
use Destino\Genome\Sex;

/** An animal of a cross: a founder with its genes, or a young of two of them with what it shows. */
final readonly class CrossAnimal
{
    private function __construct(
        public ?Sex $sex, public ?int $sire, public ?int $dam, public ?Belief $genes, public ?SeenForms $seen,
    ) {}

    public static function founder(Belief $genes): self
    {
        return new self($genes->sex, null, null, $genes, null);
    }

    /** @param Sex|null $sex null where it is not known */
    public static function young(?Sex $sex, int $sire, int $dam, SeenForms $seen): self
    {
        return new self($sex, $sire, $dam, null, $seen);
    }
}
