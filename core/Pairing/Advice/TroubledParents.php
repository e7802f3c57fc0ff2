<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Sex;
use Destino\Pairing\Cross;

/** A dam of a form whose females are reported to have trouble with eggs. */
final readonly class TroubledParents implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = [];
        foreach ($cross->catalogue->conditions as $condition) {
            foreach ($condition->appliesTo as ['pattern' => $pattern, 'evidence' => $evidence]) {
                if ($pattern->sex !== Sex::Female) {
                    continue;
                }
                $chance = $cross->dam->chanceOf($pattern, $cross->catalogue);
                if (! $chance->isZero()) {
                    $sure = $chance->isOne() ? 'is' : 'may be';
                    $advice[] = new Advice(
                        'parent-condition', $condition->severity,
                        "The dam {$sure} ".TroubledForms::name($pattern, $cross->catalogue)
                            .". {$condition->name}: {$condition->text} Evidence: {$evidence}. Use a male of this form instead, "
                                .'and ask a reptile veterinarian before breeding her.',
                        null, TroubledForms::loci($pattern, $cross->catalogue), $condition->key,
                    );
                }
            }
        }

        return $advice;
    }
}
