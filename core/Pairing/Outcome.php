<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Brick\Math\BigInteger;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/** What an egg can be: one genotype, or a set of genotypes that look alike. */
final readonly class Outcome
{
    /**
     * @param string $label in the notation
     * @param list<string> $knownAs names that keepers use for compounds in it
     * @param array<string, Form> $forms by locus, where all genotypes of the outcome agree; wild type included
     * @param array<string, string> $phase the chromosomes that carry a gene, by locus, or the coupling, by group
     * @param BigInteger $genotypes how many genotypes look like this; 1 by genotype
     * @param list<SpaceItem> $items by block, for drawing
     */
    public function __construct(
        public string $label,
        public array $knownAs,
        public Rational $probability,
        public ?Sex $sex,
        public array $forms,
        public bool $isLethal,
        public array $phase,
        public BigInteger $genotypes,
        public array $items,
    ) {}
}
