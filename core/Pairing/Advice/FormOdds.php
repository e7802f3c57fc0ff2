<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Form;
use Destino\Pairing\AlikeForms;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** P(form) per egg for every form that the cross can give, the wild type left out. */
final readonly class FormOdds
{
    /** @return list<array{Form, Rational}> in catalogue order */
    public static function of(Cross $cross): array
    {
        /** @var Weights<Form> $odds */
        $odds = new Weights;
        foreach ($cross->blocks as $block) {
            foreach ($block->outcomes() as $outcome) {
                foreach ($outcome->forms as $form) {
                    if (! $form->isWild()) {
                        $odds->add(AlikeForms::key($form), $form, $outcome->probability);
                    }
                }
            }
        }

        return array_values($odds->entries());
    }
}
