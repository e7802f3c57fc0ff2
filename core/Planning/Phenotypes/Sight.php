<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Genome\Visibility;

/** What the eye gets of one linkage group, and what it hides of others. */
final readonly class Sight
{
    private Visibility $visibility;

    public function __construct(private Catalogue $catalogue, private LinkageGroup $group)
    {
        $this->visibility = new Visibility($catalogue);
    }

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
            $parts[] = $this->visibility->isHidden($form, $hiding) ? '+' : $form->look;
        }

        return implode('|', $parts);
    }

    /** @return list<Mask> what this diplotype hides of other genes */
    public function hides(Diplotype $diplotype): array
    {
        $masks = [];
        foreach ($this->group->loci as $i => $locus) {
            if ($locus !== Sex::LOCUS) {
                array_push($masks, ...$this->visibility->masksOf($this->catalogue->form($locus, ...$diplotype->pairAt($i))));
            }
        }

        return $masks;
    }

    /** Whether any form of the group can hide others. */
    public function canHide(): bool
    {
        foreach ($this->group->loci as $locus) {
            if ($locus !== Sex::LOCUS && $this->visibility->canHide($locus)) {
                return true;
            }
        }

        return false;
    }
}
