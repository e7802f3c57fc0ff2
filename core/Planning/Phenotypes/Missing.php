<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Notation\Target;

/** What a target asks for that no founder can bring, as a condition or as an option of a choice. */
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
            if (AtHand::isMissing($space->catalogue, $condition, $carried)) {
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
}
