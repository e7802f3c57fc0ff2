<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;

/** Something in the records that cannot be, or hardly: young of one clutch, at some loci. */
final readonly class Matter
{
    /**
     * @param non-empty-list<string> $subjects ids of the animals and eggs that are at odds with the rest
     * @param list<string> $loci at which they are
     * @param list<string> $wanted alleles that they show or are said to carry
     * @param list<string> $named alleles that anything about them names, absent ones included
     * @param bool $isDoubted whether a statement that is not sure is all that is at odds
     */
    public function __construct(
        public string $litter,
        public array $subjects,
        public array $loci,
        public array $wanted,
        public array $named,
        public bool $isDoubted = false,
    ) {}

    /** @return list<string> every allele of the loci at odds; none where the sex is, which is no gene's matter */
    public function allelesAtOdds(Catalogue $catalogue): array
    {
        return in_array(Sex::LOCUS, $this->loci, true)
            ? []
            : array_merge([], ...array_map(static fn (string $locus): array => $catalogue->locus($locus)->alleles, $this->loci));
    }
}
