<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Catalogue;
use Destino\Genome\Concealment;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;

/** What the eye gets of one linkage group, and what it hides of others. */
final readonly class Sight
{
    public function __construct(private Catalogue $catalogue, private LinkageGroup $group) {}

    /**
     * Equal for diplotypes that cannot be told apart by eye; what is hidden looks like the wild type.
     *
     * @param list<Mask> $hiding forms of the same animal, at other groups, that hide others
     */
    public function of(Diplotype $diplotype, array $hiding = []): string
    {
        $parts = [];
        foreach ($this->group->loci as $i => $locus) {
            $pair = $diplotype->pairAt($i);
            if ($locus === Sex::LOCUS) {
                $parts[] = Sex::ofAlleles($pair)->value;

                continue;
            }
            $form = $this->catalogue->form($locus, ...$pair);
            $isHidden = false;
            foreach ($hiding as $mask) {
                $isHidden = $isHidden
                    || (
                        $mask->locus !== $locus
                        && array_filter(
                            $form->shows, fn (string $allele): bool => ! $mask->conceals($this->catalogue->allele($allele)),
                        ) === []
                    );
            }
            $parts[] = $isHidden ? '+' : $form->look;
        }

        return implode('|', $parts);
    }

    /** @return list<Mask> what this diplotype hides of other genes */
    public function hides(Diplotype $diplotype): array
    {
        $masks = [];
        foreach ($this->group->loci as $i => $locus) {
            foreach ($locus === Sex::LOCUS ? [] : $this->catalogue->masksAt($locus) as $mask) {
                if (
                    $mask->hides !== Concealment::Part
                    && $mask->form->fits($this->catalogue->form($locus, ...$diplotype->pairAt($i))->copiesOf(...))
                ) {
                    $masks[] = $mask;
                }
            }
        }

        return $masks;
    }

    /** Whether any form of the group can hide others. */
    public function canHide(): bool
    {
        foreach ($this->group->loci as $locus) {
            foreach ($locus === Sex::LOCUS ? [] : $this->catalogue->masksAt($locus) as $mask) {
                if ($mask->hides !== Concealment::Part) {
                    return true;
                }
            }
        }

        return false;
    }
}
