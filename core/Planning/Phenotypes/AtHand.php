<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Notation\Target;
use Destino\Notation\TargetChoice;
use Destino\Notation\TargetCondition;
use Destino\Planning\Given\Project;
use Destino\Planning\Given\ProjectError;

/** What of a target the alleles at hand can meet. */
final readonly class AtHand
{
    /**
     * The same project without the options of its choices that no founder can bring: "two co-dominants" has as many options as there are
     * co-dominants, of which a collection has some.
     *
     * @throws ProjectError when very many are left
     */
    public static function without(Catalogue $catalogue, Project $project): Project
    {
        if ($project->target->choices === []) {
            return $project;
        }
        $carried = [];
        foreach ($project->founders as $founder) {
            foreach ($founder->belief->factors as $factor) {
                foreach ($factor->states->entries() as [$state]) {
                    foreach ($state->diplotypes as $diplotype) {
                        $carried += array_flip(array_merge(...$diplotype->haplotypes));
                    }
                }
            }
        }
        $target = $project->target->withOptions(fn (Target $option): bool => self::canBeMet($catalogue, $option, $carried));
        $count = array_sum(array_map(static fn (TargetChoice $choice): int => count($choice->options), $target->choices));

        return $count <= Choices::MOST ? $project->withTarget($target) : throw ProjectError::tooManyOptions($count, Choices::MOST);
    }

    /** @param array<string, int> $carried */
    private static function canBeMet(Catalogue $catalogue, Target $option, array $carried): bool
    {
        foreach ($option->conditions as $condition) {
            if (self::isMissing($catalogue, $condition, $carried)) {
                return false;
            }
        }

        return true;
    }

    /** @param array<string, int> $carried */
    public static function isMissing(Catalogue $catalogue, TargetCondition $condition, array $carried): bool
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
