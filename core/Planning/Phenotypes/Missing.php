<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Notation\TargetCondition;

/** What a target asks for that no founder can bring. */
final readonly class Missing
{
    /**
     * Conditions of the target that no founder can bring, each with what is missing.
     *
     * @return list<string>
     */
    public static function of(Space $space): array
    {
        $carried = [];
        foreach ($space->groups as $i => $table) {
            foreach ($space->project->founders as $founder) {
                foreach ($table->book->looks[$table->lookOf($founder->belief)] as $state => $p) {
                    foreach ($table->book->states[$state]->haplotypes as $haplotype) {
                        $carried += array_flip($haplotype);
                    }
                }
            }
        }
        $missing = [];
        foreach ($space->project->target->conditions as $condition) {
            if (self::isMissing($space->catalogue, $condition, $carried)) {
                $missing[] = $condition->piece;
            }
        }

        return $missing;
    }

    /** @param array<string, int> $carried */
    private static function isMissing(Catalogue $catalogue, TargetCondition $condition, array $carried): bool
    {
        foreach ($catalogue->formsAt($condition->locus()) as $form) {
            if ($condition->accepts($form) && ! $form->isLethal() && self::isCarried($form, $carried)) {
                return false;
            }
        }

        return true;
    }

    /** @param array<string, int> $carried */
    private static function isCarried(Form $form, array $carried): bool
    {
        foreach ($form->pair as $allele) {
            if ($allele !== Allele::WILD && ! isset($carried[$allele])) {
                return false;
            }
        }

        return true;
    }
}
