<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Pairing\Cross;

/** Two genes that are reported to go badly together in one animal. */
final readonly class TroubledPairs implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = [];
        foreach ($cross->catalogue->warnings as $warning) {
            $chance = $cross->chanceOf($warning->pattern);
            if (! $chance->isZero()) {
                $who = TroubledForms::name($warning->pattern, $cross->catalogue);
                $advice[] = new Advice(
                    'troubled-pair', $warning->condition->severity,
                    "{$who} in one animal, ".Words::share($chance).". {$warning->text} Evidence: {$warning->evidence}.", $chance,
                    TroubledForms::loci($warning->pattern, $cross->catalogue), $warning->condition->key,
                );
            }
        }

        return $advice;
    }
}
