<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;

/** Errors that need the gene facts for their words. */
final readonly class NotationFaults
{
    /** @param list<string> $alleles */
    public static function tooMany(Catalogue $catalogue, Statement $statement, string $locus, array $alleles): NotationError
    {
        $distinct = array_values(array_unique($alleles));
        $suggestions = [];
        if (count($distinct) === 2) {
            $suggestions[] = $catalogue->form($locus, $distinct[0], $distinct[1])->text;
        }

        return NotationError::tooManyAlleles(
            $statement->piece, $statement->from, $catalogue->locus($locus)->name,
            array_map(static fn (string $allele): string => $catalogue->allele($allele)->name, $alleles), $suggestions,
        );
    }
}
