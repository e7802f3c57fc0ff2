<?php

declare(strict_types=1);

namespace App\Catalogue;

use Destino\Identification\Cue;
use Destino\Identification\CueRule;
use Destino\Notation\TargetCondition;

/** The rules of cues that speak of one gene. */
class CueRules
{
    /** @return array<string, array{cue: Cue, rule: CueRule}> by "cue|when" */
    public static function of(CatalogueShelf $shelf, string $gene): array
    {
        $rules = [];
        foreach ($shelf->cues() as $cue) {
            foreach ($cue->rules as $rule) {
                $names = array_merge(
                    [], ...array_map(fn (TargetCondition $one): array => $one->wantedAlleles(), $rule->when->conditions ?? []),
                );
                if (in_array($gene, $names, true)) {
                    $rules["{$cue->key}|{$rule->text()}"] = ['cue' => $cue, 'rule' => $rule];
                }
            }
        }

        return $rules;
    }
}
