<?php

declare(strict_types=1);

namespace App\Looks;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;

/** What an animal shows for certain: readings of a cue teach something only where it is sure what was looked at. */
final class SureForms
{
    /** @return array<string, Form>|null by locus; null where it is open what shows. What nothing speaks of is wild type */
    public static function of(Belief $belief, Catalogue $catalogue): ?array
    {
        $forms = [];
        foreach ($belief->groups() as $group) {
            foreach ($catalogue->groups[$group]->loci as $locus) {
                $own = array_map(
                    fn (array $entry): Form => $catalogue->form($locus, $entry[0][0], $entry[0][1]),
                    array_values($belief->marginalAt($locus, $catalogue->groups[$group])->entries()),
                );
                if (count($own) > 1 && array_filter($own, fn (Form $form): bool => $form->shows !== []) !== []) {
                    return null;
                }
                $forms[$locus] = count($own) === 1 ? $own[0] : $catalogue->form($locus, Allele::WILD, Allele::WILD);
            }
        }

        return $forms;
    }
}
