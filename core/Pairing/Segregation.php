<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Probability\Distribution;

/** What two known diplotypes give at one linkage group: the convolution of their gametes. Answers are remembered. */
final class Segregation
{
    /** @var array<string, Distribution<OffspringState>> */
    private array $known = [];

    /** @var array<string, OffspringState> */
    private array $states = [];

    public function __construct(private readonly Catalogue $catalogue) {}

    /** @return Distribution<OffspringState> P(diplotype of an egg | diplotypes of sire and dam) */
    public function offspring(LinkageGroup $group, Diplotype $sire, Diplotype $dam): Distribution
    {
        return $this->known["{$group->key}:{$sire->key}×{$dam->key}"] ??= $this->convolve($group, $sire, $dam);
    }

    /** @return Distribution<OffspringState> */
    private function convolve(LinkageGroup $group, Diplotype $sire, Diplotype $dam): Distribution
    {
        $weighted = [];
        $fromDam = $group->gametes($dam)->entries();
        foreach ($group->gametes($sire)->entries() as [$paternal, $p]) {
            foreach ($fromDam as [$maternal, $q]) {
                $diplotype = new Diplotype($paternal, $maternal);
                $weighted[] = [$diplotype->key, $this->state($group, $diplotype), $p->times($q)];
            }
        }

        return Distribution::ofWeighted($weighted);
    }

    private function state(LinkageGroup $group, Diplotype $diplotype): OffspringState
    {
        return $this->states["{$group->key}:{$diplotype->key}"] ??= $this->describe($group, $diplotype);
    }

    private function describe(LinkageGroup $group, Diplotype $diplotype): OffspringState
    {
        $forms = $makers = [];
        $sex = null;
        $isLethal = false;
        foreach ($group->loci as $i => $locus) {
            $pair = $diplotype->pairAt($i);
            if ($locus === Sex::LOCUS) {
                $sex = Sex::ofAlleles($pair);

                continue;
            }
            $forms[$locus] = $this->catalogue->form($locus, ...$pair);
            $isLethal = $isLethal || $forms[$locus]->isLethal();
            $maker = $pair === [Allele::WILD, Allele::WILD] ? null : $group->makerOf($diplotype, $locus);
            if ($maker !== null) {
                $makers[$locus] = $maker;
            }
        }

        return new OffspringState($diplotype, $forms, $sex, $makers, $isLethal);
    }
}
