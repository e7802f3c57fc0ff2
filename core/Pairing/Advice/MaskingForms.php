<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Concealment;
use Destino\Genome\Form;
use Destino\Genome\Mask;
use Destino\Genome\Severity;
use Destino\Genome\Visibility;
use Destino\Pairing\Cross;
use Destino\Probability\Rational;

/** Forms in which other genes of this pairing cannot be read. */
final readonly class MaskingForms implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $odds = FormOdds::of($cross);
        $advice = [];
        $visibility = new Visibility($cross->catalogue);
        foreach ($odds as [$form, $chance]) {
            foreach ($form->isLethal() ? [] : $visibility->masksOf($form, all: true) as $mask) {
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
        $hidden = $seen = [];
        foreach ($odds as [$form]) {
            foreach ($form->locus === $mask->locus ? [] : $form->shows as $key) {
                $allele = $cross->catalogue->allele($key);
                $isHidden = $mask->hides === Concealment::Part
                    ? ($mask->showsThrough[$key] ?? '') === 'weak'
                    : $mask->conceals($allele, $form->copiesOf($key));
                $isHidden ? $hidden[$key][$form->text] = $allele->name : $seen[$key] = true;
            }
        }

        // A gene that shows in two copies only is hidden in one: its form is named then.
        return array_merge(...array_map(
            static fn (array $names, string $key): array => isset($seen[$key]) ? array_keys($names) : [reset($names)], $hidden,
                array_keys($hidden),
        ));
    }
}
