<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Genome\Sex;

/** An animal of the pedigree with what has been said of it. */
final readonly class Individual
{
    /**
     * @param Sex|null $sex null where it is not known
     * @param string|null $sire id of a recorded animal; null where he is unknown or outside the records
     * @param list<Testimony> $testimonies
     */
    public function __construct(
        public string $id,
        public ?Sex $sex,
        public ?string $sire,
        public ?string $dam,
        public array $testimonies,
    ) {}
}
