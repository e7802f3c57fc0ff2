<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Genome\Sex;
use Destino\Notation\Target;

/** An animal of the pedigree with what has been said of it. */
final readonly class Individual
{
    /**
     * @param Sex|null $sex null where it is not known
     * @param string|null $sire id of a recorded animal; null where he is unknown or outside the records
     * @param list<Testimony> $testimonies
     * @param Target|null $saw a condition that it was seen to meet
     * @param list<string|null> $possibleSires where more than one male may be the sire; null for one outside the records
     */
    public function __construct(
        public string $id,
        public ?Sex $sex,
        public ?string $sire,
        public ?string $dam,
        public array $testimonies,
        public ?Target $saw = null,
        public array $possibleSires = [],
    ) {}

    public function isFounder(): bool
    {
        return $this->sire === null && $this->dam === null && $this->possibleSires === [];
    }

    /** @return list<string|null> everyone who may be the sire; null for somebody outside the records */
    public function sires(): array
    {
        return $this->possibleSires === [] ? [$this->sire] : $this->possibleSires;
    }
}
