<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Destino\Probability\Probability;

/** How often what is recorded is wrong: assumed figures, each of which a keeper may edit. */
final readonly class ErrorRates
{
    /** @var Probability P(an animal whose form hides others carries one copy of a given gene unseen) */
    public Probability $masked;

    /** @var Probability P(what is recorded as two copies of a gene is one) */
    public Probability $oneCopy;

    /** @var Probability P(the eggs of a clutch with several possible sires have each their own) */
    public Probability $mixed;

    /**
     * @param Probability $unrecorded P(an animal carries one copy of a gene that nobody mentioned)
     * @param Probability $misidentified P(a hatchling is taken for what it is not, badly enough that the records exclude it)
     * @param Probability $otherSire P(the sire of a clutch is another male, sperm kept from an earlier season included)
     * @param Probability $misnamed P(a gene is another line or allele than it is called)
     * @param Probability $mutation P(a gamete carries a new mutation to a given allele)
     * @param Probability $lethalDead P(an egg of a lethal form is what was seen | an egg is seen dead where such a form is possible)
     */
    public function __construct(
        public Probability $unrecorded,
        public Probability $misidentified,
        public Probability $otherSire,
        public Probability $misnamed,
        public Probability $mutation,
        public Probability $lethalDead,
        ?Probability $masked = null,
        ?Probability $mixed = null,
        ?Probability $oneCopy = null,
    ) {
        $this->masked = $masked ?? Probability::ratio(1, 10);
        $this->oneCopy = $oneCopy ?? Probability::ratio(1, 50);
        $this->mixed = $mixed ?? Probability::ratio(0, 1);
    }

    public static function assumed(): self
    {
        return new self(
            Probability::ratio(1, 20),
            Probability::ratio(1, 1000),
            Probability::ratio(1, 100),
            Probability::ratio(1, 1000),
            Probability::ratio(1, 1_000_000),
            Probability::ratio(9, 10),
        );
    }

    /** Where all eggs of a clutch are of one male. */
    public function withoutMixing(): self
    {
        return new self(
            $this->unrecorded, $this->misidentified, $this->otherSire, $this->misnamed, $this->mutation, $this->lethalDead, $this->masked,
            null, $this->oneCopy,
        );
    }

    /** @return array<string, Probability> by name */
    public function all(): array
    {
        return [
            'unrecorded' => $this->unrecorded, 'misidentified' => $this->misidentified, 'other-sire' => $this->otherSire,
            'misnamed' => $this->misnamed, 'one-copy' => $this->oneCopy, 'masked' => $this->masked, 'mutation' => $this->mutation,
            'lethal-dead' => $this->lethalDead, 'mixed-paternity' => $this->mixed,
        ];
    }
}
