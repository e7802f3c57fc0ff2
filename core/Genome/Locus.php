<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A place on a chromosome: the wild type and one or more mutant alleles, of which an animal has two in all. */
final readonly class Locus
{
    /**
     * @param int $rank place in catalogue order, from 0
     * @param list<string> $alleles keys of its mutant alleles, in printer's order
     */
    public function __construct(
        public string $key,
        public string $name,
        public int $rank,
        public array $alleles,
        public string $group,
        public string $evidence,
        public string $note,
    ) {}

    /** Whether several mutant alleles share it, so that an animal can carry two of them at the most. */
    public function isComplex(): bool
    {
        return count($this->alleles) > 1;
    }
}
