<?php

declare(strict_types=1);

namespace Destino\Inference;

use Destino\Probability\Rational;

/** How often what is recorded is wrong: assumed figures, each of which a keeper may edit. */
final readonly class ErrorRates
{
    /**
     * @param Rational $unrecorded P(an animal carries one copy of a gene that nobody mentioned)
     * @param Rational $misidentified P(a hatchling is taken for what it is not, badly enough that the records exclude it)
     * @param Rational $otherSire P(the sire of a clutch is another male, sperm kept from an earlier season included)
     * @param Rational $misnamed P(a gene is another line or allele than it is called)
     * @param Rational $mutation P(a gamete carries a new mutation to a given allele)
     * @param Rational $lethalDead P(an egg of a lethal form is what was seen | an egg is seen dead where such a form is possible)
     */
    public function __construct(
        public Rational $unrecorded,
        public Rational $misidentified,
        public Rational $otherSire,
        public Rational $misnamed,
        public Rational $mutation,
        public Rational $lethalDead,
    ) {}

    public static function assumed(): self
    {
        return new self(Rational::of(1, 20), Rational::of(1, 1000), Rational::of(1, 100), Rational::of(1, 1000), Rational::of(1, 1_000_000), Rational::of(9, 10));
    }
}
