<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Belief;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Severity;
use Destino\Pairing\Cross;

/** Genes of one pairing whose names are taken for one another: in one copy or two, carried or shown, from either parent. */
final readonly class NamesMixedUp implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = [];
        foreach ($cross->catalogue->confusedNames as $set) {
            $here = array_values(array_filter(
                $set->members, fn (string $allele): bool => $this->has($cross, $cross->sire, $allele) || $this->has($cross, $cross->dam, $allele),
            ));
            if (count($here) > 1) {
                $alleles = array_map($cross->catalogue->allele(...), $here);
                $advice[] = new Advice(
                    'names-mixed-up', Severity::Watch,
                    Words::list(array_map(static fn ($one): string => $one->name, $alleles))." are different genes. {$set->text}",
                    null, array_values(array_unique(array_map(static fn ($one): string => $one->locus, $alleles))),
                );
            }
        }

        return $advice;
    }

    private function has(Cross $cross, Belief $parent, string $allele): bool
    {
        return ! $parent->chanceOf(new GenotypePattern([$allele => 1]), $cross->catalogue)->isZero();
    }
}
