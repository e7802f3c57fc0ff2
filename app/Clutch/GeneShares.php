<?php

declare(strict_types=1);

namespace App\Clutch;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Sex;

/** P(at least one copy of a gene), for each gene that an animal may carry. */
class GeneShares
{
    /** @return array<string, float> by allele */
    public static function of(Belief $belief, Catalogue $catalogue): array
    {
        $shares = [];
        foreach ($belief->groups() as $key) {
            foreach (array_diff($catalogue->groups[$key]->loci, [Sex::LOCUS]) as $locus) {
                foreach ($belief->marginalAt($locus, $catalogue->groups[$key])->entries() as [$pair, $chance]) {
                    foreach (array_diff(array_unique($pair), [Allele::WILD]) as $allele) {
                        $shares[$allele] = min(1.0, ($shares[$allele] ?? 0.0) + $chance->toFloat());
                    }
                }
            }
        }

        return array_filter($shares, fn (float $share): bool => $share > 0.0);
    }

    /** What one copy may be: a name alone reads as a look. */
    public static function name(Allele $allele, Catalogue $catalogue): string
    {
        $oneCopy = $catalogue->form($allele->locus, Allele::WILD, $allele->key);

        return $oneCopy->shows === [] ? "{$allele->name}, het or visual" : $allele->name;
    }
}
