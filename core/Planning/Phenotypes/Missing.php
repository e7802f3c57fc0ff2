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

/** What a target asks for that no founder can bring, as a condition or as an option of a choice. */
final readonly class Missing
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

        foreach ($space->project->target->choices as $choice) {
            if (count($choice->options) < $choice->atLeast) { // those that nobody can bring are left out already
                $missing[] = $choice->piece;
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
