<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\GenotypePattern;
use Destino\Notation\Printer;
use Destino\Pairing\Cross;

/** Conditions that offspring of certain genotypes are known for. */
final readonly class TroubledForms implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = [];
        foreach ($cross->catalogue->conditions as $condition) {
            if ($condition->isAboutSurvival()) {
                continue;
            }
            foreach ($condition->appliesTo as ['pattern' => $pattern, 'evidence' => $evidence]) {
                $chance = $cross->chanceOf($pattern);
                if ($chance->isZero()) {
                    continue;
                }
                $who = self::name($pattern, $cross->catalogue).($pattern->sex === null ? '' : " ({$pattern->sex->value})");
                $advice[] = new Advice(
                    'condition', $condition->severity,
                    "{$condition->name} in {$who}, ".Words::share($chance)
                        .". {$condition->text} Evidence: {$evidence}. For an affected animal ask a reptile veterinarian.",
                    $chance, self::loci($pattern, $cross->catalogue), $pattern->sex === null ? $condition->key : null,
                );
            }
        }

        return $advice;
    }

    public static function name(GenotypePattern $pattern, Catalogue $catalogue): string
    {
        $byLocus = [];
        foreach ($pattern->copies as $key => $copies) {
            $locus = $catalogue->allele($key)->locus;
            $byLocus[$locus] = [...$byLocus[$locus] ?? [], ...array_fill(0, max(1, $copies), $key)];
        }
        $forms = [];
        foreach ($byLocus as $locus => $alleles) {
            $forms[] = $catalogue->form($locus, $alleles[0], $alleles[1] ?? Allele::WILD);
        }

        return (new Printer($catalogue))->forms($forms);
    }

    /** @return list<string> */
    public static function loci(GenotypePattern $pattern, Catalogue $catalogue): array
    {
        return array_values(
            array_unique(array_map(static fn (string $key): string => $catalogue->allele($key)->locus, array_keys($pattern->copies))),
        );
    }
}
