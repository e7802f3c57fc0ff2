<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Allele;
use Destino\Genome\GenotypePattern;
use Destino\Genome\Severity;
use Destino\Genome\Sex;
use Destino\Notation\Percentage;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;

/** A gene that comes mostly in one sex from this male, and the fraction that this rests on. */
final readonly class SexLinkedGenes implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $group = $cross->catalogue->sexGroup();
        $advice = [];
        foreach ($group->loci as $i => $locus) {
            foreach ($locus === Sex::LOCUS || ! $cross->isSexLinked ? [] : $cross->catalogue->locus($locus)->alleles as $key) {
                if ($cross->sire->chanceOf(new GenotypePattern([$key => 1]), $cross->catalogue)->isZero()) {
                    continue;
                }
                $all = $cross->chanceOf(new GenotypePattern([$key => 1]));
                $sons = $cross->chanceOf(new GenotypePattern([$key => 1], Sex::Male))->dividedBy($all);
                $r = $group->recombination[max(0, $i - 1)] ?? Rational::zero();
                $advice[] = new Advice(
                    'sex-linked', Severity::Info, $this->text($cross, $cross->catalogue->allele($key), $sons, $r), $all, [$locus],
                );
            }
        }

        return $advice;
    }

    private function text(Cross $cross, Allele $allele, Rational $sons, Rational $r): string
    {
        $group = $cross->catalogue->sexGroup();
        $phases = count(
            array_filter(
                $cross->sire->factorOf($group)->states->entries(),
                static fn (array $entry): bool => $group->makerOf($entry[0]->at($group), $allele->locus) !== null,
            ),
        );
        $unknown = $phases > 1
            ? ' It is not known whether this male is a male maker or a female maker; each counts as equally likely here, and his first clutches will tell.'
            : '';

        return "{$allele->name} is linked to sex: ".Percentage::print($sons)
            ." of the young that get it here are males.{$unknown} Assumed recombination fraction: {$r->toString()} (a middle "
                .'value of quoted figures; it can be changed).';
    }
}
