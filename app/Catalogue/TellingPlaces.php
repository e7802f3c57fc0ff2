<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Identification\Cue;
use Destino\Identification\CueRule;

/** Where on the body each gene is told best: the region of its clearest cue. */
final class TellingPlaces
{
    /** @return array<string, string> region by allele; those that no cue tells alone are left out */
    public static function of(CatalogueShelf $shelf): array
    {
        $places = $best = [];
        foreach ($shelf->cues() as $cue) {
            foreach ($cue->rules as $rule) {
                $genes = count($rule->when->conditions ?? []) === 1 ? $rule->when->conditions[0]->wantedAlleles() : [];
                foreach (count(array_unique($genes)) === 1 ? array_unique($genes) : [] as $gene) {
                    $gain = self::gain($cue, $rule);
                    if ($gain > ($best[$gene] ?? 0.0)) {
                        [$places[$gene], $best[$gene]] = [$cue->where, $gain];
                    }
                }
            }
        }

        return $places;
    }

    /** How much oftener its most telling state is seen than in a normal. */
    private static function gain(Cue $cue, CueRule $rule): float
    {
        $normal = $cue->rules[count($cue->rules) - 1];

        return max(array_map(
            fn (int $state): float => $rule->chances[$state]->toFloat() - $normal->chances[$state]->toFloat(), array_keys($rule->chances),
        ));
    }
}
