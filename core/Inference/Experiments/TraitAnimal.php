<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

use Destino\Genome\Sex;

/** An animal of the notebook of an unknown trait, or so many young of one look. */
final readonly class TraitAnimal
{
    /**
     * @param string $look normal, odd or strong, with " known" where the known gene shows as well
     * @param int<1, max> $count young alike; a parent is one
     */
    public function __construct(
        public string $id,
        public Sex $sex,
        public string $look,
        public ?string $sire = null,
        public ?string $dam = null,
        public int $count = 1,
    ) {}
}
