<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Concealment;
use Destino\Genome\Form;
use Destino\Genome\Mask;
use Destino\Genome\Severity;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;

/** Forms in which other genes of this pairing cannot be read. */
final readonly class MaskingForms implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $odds = FormOdds::of($cross);
        $advice = [];
        foreach ($odds as [$form, $chance]) {
            foreach ($cross->catalogue->masksAt($form->locus) as $mask) {
                if ($form->isLethal() || ! $mask->form->fits($form->copiesOf(...))) {
                    continue;
                }
                $hidden = $this->hidden($cross, $mask, $odds);
                if ($hidden !== []) {
                    $advice[] = $this->about($form, $mask, $chance, $hidden);
                }
            }
        }

        return $advice;
    }

    /** @param list<string> $hidden */
    private function about(Form $form, Mask $mask, Rational $chance, array $hidden): Advice
    {
        $verb = $mask->hides === Concealment::Part ? 'the eye has a harder time with' : 'do not count on seeing';

        return new Advice('mask', $mask->hides === Concealment::Part ? Severity::Info : Severity::Watch,
            "In {$form->text} (".Words::share($chance)."), {$verb} ".Words::list($hidden).". {$mask->text}", $chance, [$form->locus]);
    }

    /**
     * @param list<array{Form, Rational}> $odds
     * @return list<string>
     */
    private function hidden(Cross $cross, Mask $mask, array $odds): array
    {
        $hidden = [];
        foreach ($odds as [$form]) {
            foreach ($form->locus === $mask->locus ? [] : $form->shows as $key) {
                $allele = $cross->catalogue->allele($key);
                $isHidden = $mask->hides === Concealment::Part ? ($mask->showsThrough[$key] ?? '') === 'weak' : $mask->conceals($allele);
                if ($isHidden) {
                    $hidden[$key] = $allele->name;
                }
            }
        }

        return array_values($hidden);
    }
}
