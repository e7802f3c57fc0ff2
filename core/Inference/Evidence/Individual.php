<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

use Destino\Genome\Sex;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/** An animal of the pedigree with what has been said of it. */
final readonly class Individual
{
    /**
     * @param Sex|null $sex null where it is not known
     * @param string|null $sire id of a recorded animal; null where he is unknown or outside the records
     * @param list<Testimony> $testimonies
     * @param Target|null $saw a condition that it was seen to meet
     * @param list<string|null> $possibleSires where more than one male may be the sire; null for one outside the records
     * @param list<Rational> $weights of the possible sires, above 0; empty where all are alike
     * @param string|null $clutch name of the clutch, whose young share one sire; null where none is named
     * @param list<Penetrance> $penetrances what was seen of its cues, each independent of the others given the genotype
     * @param list<Resemblance> $resemblances in what it is like its siblings
     */
    public function __construct(
        public string $id,
        public ?Sex $sex,
        public ?string $sire,
        public ?string $dam,
        public array $testimonies,
        public ?Target $saw = null,
        public array $possibleSires = [],
        public array $weights = [],
        public ?string $clutch = null,
        public array $penetrances = [],
        public array $resemblances = [],
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

    public function ofSex(?Sex $sex): self
    {
        return new self(
            $this->id,
            $sex,
            $this->sire,
            $this->dam,
            $this->testimonies,
            $this->saw,
            $this->possibleSires,
            $this->weights,
            $this->clutch,
            $this->penetrances,
            $this->resemblances,
        );
    }

    /** @param list<Testimony> $testimonies */
    public function saying(array $testimonies, ?Target $saw): self
    {
        return new self(
            $this->id,
            $this->sex,
            $this->sire,
            $this->dam,
            $testimonies,
            $saw,
            $this->possibleSires,
            $this->weights,
            $this->clutch,
            $this->penetrances,
            $this->resemblances,
        );
    }

    /**
     * @param list<Penetrance> $penetrances
     * @param list<Resemblance> $resemblances
     */
    public function seenSo(array $penetrances, array $resemblances = []): self
    {
        return new self(
            $this->id, $this->sex, $this->sire, $this->dam, $this->testimonies, $this->saw, $this->possibleSires, $this->weights,
            $this->clutch, $penetrances, $resemblances,
        );
    }
}
