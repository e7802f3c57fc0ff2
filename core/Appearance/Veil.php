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

    /**
     * @param list<Form> $forms
     * @return list<Mask>
     */
    public static function masksOf(Catalogue $catalogue, array $forms): array
    {
        $masks = [];
        foreach ($forms as $form) {
            foreach ($catalogue->masksAt($form->locus) as $mask) {
                if ($mask->form->fits($form->copiesOf(...))) {
                    $masks[] = $mask;
                }
            }
        }

        return $masks;
    }

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
                $degree = (
                    $form->isTwoCopies() ? $mask->showsThrough["{$allele} twice"] ?? null : null
                ) ?? $mask->showsThrough[$allele] ?? '';
                $own = max($own, match (true) {
                    $degree === 'strong' || ! $mask->conceals($catalogue->allele($allele), $form->isTwoCopies() ? 2 : 1)
                        && $mask->hides === Concealment::All => 1.0,
                    $degree === 'weak' => self::WEAKLY,
                    $mask->hides === Concealment::All => 0.0,
                    $mask->hides === Concealment::Pattern => $mask->conceals(
                        $catalogue->allele($allele), $form->isTwoCopies() ? 2 : 1,
                    ) || $axis->isPattern() ? 0.0 : 1.0,
                    default => 1.0,
                });
            }
            $share *= $own;
        }

        return $share;
    }
}
