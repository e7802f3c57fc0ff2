<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\GenotypePattern;
use Destino\Genome\Severity;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;

/** A gene that both parents carry and that will show in most of the clutch. */
final readonly class DominantFlood implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = [];
        foreach ($cross->loci() as $locus) {
            foreach ($cross->catalogue->locus($locus)->alleles as $key) {
                $allele = $cross->catalogue->allele($key);
                $one = new GenotypePattern([$key => 1]);
                $inBoth = ! $cross->sire->chanceOf($one, $cross->catalogue)->isZero()
                    && ! $cross->dam->chanceOf($one, $cross->catalogue)->isZero();
                $chance = $inBoth && $allele->inheritance->showsInOneCopy() ? $cross->chanceOf($one) : Rational::zero();
                if ($chance->compareTo(Rational::of(3, 4)) >= 0) {
                    $advice[] = new Advice(
                        'flood', Severity::Watch,
                        "Both parents carry {$allele->name}: ".Words::share($chance).' will show it. '
                            .($chance->equals(Rational::one()) ? 'Pair the young to animals without it' : 'Keep back some without it')
                            .', or the next generation has it everywhere.',
                        $chance, [$locus],
                    );
                }
            }
        }

        return $advice;
    }
}
