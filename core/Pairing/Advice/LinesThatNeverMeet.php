<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Inheritance;
use Destino\Genome\Severity;
use Destino\Pairing\Cross;

/** Two recessive lines of one look at different loci, one from each parent: no visual comes of them. */
final readonly class LinesThatNeverMeet implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = [];
        foreach ($cross->catalogue->lookAlikes as $set) {
            if ($set->copies !== 'visual') {
                continue;
            }
            $members = array_map($cross->catalogue->allele(...), $set->members);
            foreach ($members as $i => $a) {
                foreach (array_slice($members, $i + 1) as $b) {
                    if ($a->locus !== $b->locus && $this->isSplit($cross, $a, $b)) {
                        $advice[] = new Advice('lines-never-meet', Severity::Serious, "{$a->name} and {$b->name} look alike and are not "
                            .'the same gene: they stand at different loci. '
                            .'One parent brings the one, the other parent the other, so the eggs are at best het for both and none is '
                                .'visual. Pair each to its own line.',
                            null, [$a->locus, $b->locus]);
                    }
                }
            }
        }

        return $advice;
    }

    private function isSplit(Cross $cross, Allele $a, Allele $b): bool
    {
        $has = static fn (Belief $parent, Allele $allele): bool => ! $parent->chanceOf(
            new GenotypePattern([$allele->key => 1]), $cross->catalogue,
        )->isZero();
        [$sireA, $sireB, $damA, $damB] = [$has($cross->sire, $a), $has($cross->sire, $b), $has($cross->dam, $a), $has($cross->dam, $b)];

        return $a->inheritance === Inheritance::Recessive && $b->inheritance === Inheritance::Recessive
            && (($sireA && ! $sireB && $damB && ! $damA) || ($sireB && ! $sireA && $damA && ! $damB));
    }
}
