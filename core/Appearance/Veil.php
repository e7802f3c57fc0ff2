<?php

declare(strict_types=1);

namespace Destino\Appearance;

use Destino\Genome\Catalogue;
use Destino\Genome\Concealment;
use Destino\Genome\Form;
use Destino\Genome\Mask;

/** What a form that hides others lets through of them. */
final readonly class Veil
{
    /** How much shows through a mask that does so weakly. */
    private const WEAKLY = .5;

    /** @param list<Mask> $masks */
    public static function through(array $masks, Catalogue $catalogue, Form $form, Axis $axis): float
    {
        $share = 1.0;
        foreach ($masks as $mask) {
            if ($mask->locus === $form->locus) {
                continue;
            }
            $own = 0.0;
            foreach ($form->shows as $allele) {
                $copies = $form->copiesOf($allele);
                $conceals = $mask->conceals($catalogue->allele($allele), $copies);
                $own = max($own, match (true) {
                    $mask->degree($allele, $copies) === 'weak' => self::WEAKLY,
                    $conceals => 0.0,
                    $mask->hides === Concealment::Pattern && $mask->degree($allele, $copies) !== 'strong' && $axis->isPattern() => 0.0,
                    default => 1.0,
                });
            }
            $share *= $own;
        }

        return $share;
    }
}
