<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Effect;
use Destino\Genome\Inheritance;

/** Finds genes of the library by words and by kind. */
class GeneSearch
{
    public function __construct(
        public readonly string $words = '',
        public readonly ?string $locus = null,
        public readonly ?Inheritance $inheritance = null,
        public readonly ?Effect $effect = null,
    ) {}

    /** Whether it asks for less than all genes. */
    public function isNarrowed(): bool
    {
        return trim($this->words) !== '' || $this->locus !== null || $this->inheritance !== null || $this->effect !== null;
    }

    /** @return list<Allele> in catalogue order */
    public function in(Catalogue $catalogue): array
    {
        return array_values(array_filter($catalogue->alleles, fn (Allele $allele): bool => $this->matches($allele, $catalogue)));
    }

    private function matches(Allele $allele, Catalogue $catalogue): bool
    {
        if (($this->locus !== null && $allele->locus !== $this->locus)
            || ($this->inheritance !== null && $allele->inheritance !== $this->inheritance)
            || ($this->effect !== null && $allele->effect !== $this->effect)) {
            return false;
        }
        $names = [$allele->name, ...$allele->aliases, $allele->twoCopyName, $catalogue->locus($allele->locus)->name];
        foreach ($catalogue->formsAt($allele->locus) as $form) {
            $names[] = $form->copiesOf($allele->key) > 0 ? (string) $form->knownAs : '';
        }
        $haystack = mb_strtolower(implode(' ', $names).' '.$allele->summary);
        foreach (preg_split('/\s+/', mb_strtolower(trim($this->words))) ?: [] as $word) {
            if ($word !== '' && ! str_contains($haystack, $word)) {
                return false;
            }
        }

        return true;
    }
}
