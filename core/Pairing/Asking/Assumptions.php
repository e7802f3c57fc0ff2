<?php

declare(strict_types=1);

namespace Destino\Pairing\Asking;

use Destino\Probability\Rational;

/** What an answer rests on beside the parents as stated. */
final readonly class Assumptions
{
    /**
     * @param array<string, string> $schools choice by claim
     * @param array<string, Rational> $recombination fraction by pair of loci
     * @param list<string> $readings what was assumed in reading the text
     */
    public function __construct(public array $schools, public array $recombination, public array $readings) {}

    /** @return list<string> the rules that every prediction uses, in words */
    public function rules(): array
    {
        return [
            'Each parent passes one of its two alleles at a locus, each with 1/2.',
            'Loci are inherited independently unless a linkage group joins them.',
            'Half of the eggs are male.',
            'A sex-linked gene of unknown phase is equally likely to sit on either chromosome.',
            'Eggs of a clutch share their parents; given the parents they are independent.',
        ];
    }
}
