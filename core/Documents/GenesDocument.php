<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;

/** The document destino-genes/1 (docs/formats/genes.schema.json). */
final class GenesDocument
{
    /**
     * @param  list<Allele>  $alleles
     * @return array<string, mixed>
     */
    public static function of(Catalogue $catalogue, array $alleles): array
    {
        return [
            'format' => 'destino-genes/1',
            'genes' => array_map(fn (Allele $allele): array => [
                'key' => $allele->key,
                'name' => $allele->name,
                'aliases' => $allele->aliases,
                'locus' => $allele->locus,
                'complex' => $catalogue->locus($allele->locus)->isComplex() ? $catalogue->locus($allele->locus)->name : null,
                'inheritance' => $allele->inheritance->value,
                'two_copies' => ['name' => $allele->twoCopyName, 'viability' => $catalogue->twoCopies($allele)->viability->value],
                'evidence' => $allele->evidence,
            ], $alleles),
        ];
    }
}
