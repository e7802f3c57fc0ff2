<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A form in which other genes cannot be read by eye. */
final readonly class Mask
{
    /**
     * @param array<string, string> $showsThrough degree ("strong", "weak") by allele key, with " twice" behind it what holds
     *     for two copies
     */
    public function __construct(
        public string $locus,
        public GenotypePattern $form,
        public Concealment $hides,
        public string $text,
        public array $showsThrough,
    ) {}

    /** "strong" or "weak" where the catalogue says that it shows through, "" where it does not. */
    public function degree(string $allele, int $copies = 1): string
    {
        return ($copies === 2 ? $this->showsThrough["{$allele} twice"] ?? null : null) ?? $this->showsThrough[$allele] ?? '';
    }

    /** Whether this allele, at another locus, cannot be relied on to show. */
    public function conceals(Allele $allele, int $copies = 1): bool
    {
        if ($allele->effect === Effect::Scale || $this->degree($allele->key, $copies) === 'strong') {
            return false;
        }

        return match ($this->hides) {
            Concealment::All => true,
            Concealment::Pattern => $allele->effect === Effect::Pattern,
            Concealment::Part => false,
        };
    }
}
