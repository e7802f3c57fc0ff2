<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Severity;
use Destino\Genome\Viability;
use Destino\Pairing\Cross;

/** Forms that die in the egg or soon after, or that are lost more often. */
final readonly class LethalForms implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $advice = $unknown = [];
        foreach (FormOdds::of($cross) as [$form, $chance]) {
            $share = Words::share($chance);
            if ($form->viability === Viability::Lethal) {
                $advice[] = new Advice('lethal-form', Severity::Lethal, "{$form->text}: {$share}. Held to die in the egg or soon after "
                    ."(evidence: {$form->evidence}). "
                    .'Such eggs never count as hits. To avoid them, let only one parent carry the alleles.', $chance, [$form->locus],
                    Advice::DIES);
            } elseif ($form->viability === Viability::Reduced) {
                $advice[] = new Advice(
                    'reduced-form', Severity::Serious,
                    "{$form->text}: {$share}. Some of these young are reported to be lost (evidence: {$form->evidence}); they "
                        .'are counted as hatching here.',
                    $chance, [$form->locus],
                );
            } elseif ($form->viability === Viability::Unknown && ! $form->isWild()) {
                $unknown[$form->text] = [$form->locus, $chance];
            }
        }
        foreach ($unknown as $text => [$locus, $chance]) {
            $advice[] = new Advice(
                'unrecorded-form', Severity::Info,
                "{$text}: ".Words::share($chance).'. Too few are described to say how such animals fare; note what you see.',
                $chance, [$locus],
            );
        }

        return $advice;
    }
}
