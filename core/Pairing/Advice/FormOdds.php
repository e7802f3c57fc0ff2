<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Form;
use Destino\Pairing\AlikeForms;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;

/** P(form) per egg for every form that the cross can give, the wild type left out. */
final readonly class FormOdds
{
    /** @return list<array{Form, Rational}> in catalogue order */
    public static function of(Cross $cross): array
    {
        $odds = [];
        foreach ($cross->blocks as $block) {
            foreach ($block->outcomes() as $outcome) {
                foreach ($outcome->forms as $form) {
                    if (! $form->isWild()) {
                        $key = AlikeForms::key($form);
                        $odds[$key] = [$form, isset($odds[$key]) ? $odds[$key][1]->plus($outcome->probability) : $outcome->probability];
                    }
                }
            }
        }

        return array_values($odds);
    }
}
