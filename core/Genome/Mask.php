<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A form in which other genes cannot be read by eye. */
final readonly class Mask
{
    /** @param array<string, string> $showsThrough degree ("strong", "weak") by allele key */
    public function __construct(
        public string $locus,
        public GenotypePattern $form,
        public Concealment $hides,
        public string $text,
        public array $showsThrough,
    ) {}

    /** Whether this allele, at another locus, cannot be relied on to show. */
    public function conceals(Allele $allele): bool
    {
        if ($allele->effect === Effect::Scale || ($this->showsThrough[$allele->key] ?? '') === 'strong') {
            return false;
        }

        return match ($this->hides) {
            Concealment::All => true,
            Concealment::Pattern => $allele->effect === Effect::Pattern,
            Concealment::Part => false,
        };
    }
}
