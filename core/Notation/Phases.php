<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\Rational;

/** Alleles that a text names, over all phases in which they can stand. */
final class Phases
{
    /** @var list<string> what was taken as equally likely, since the text does not say */
    public array $notes = [];

    /** @param array<string, Sex> $makers by allele: the chromosome that a text puts it on */
    public function __construct(private readonly Sex $sex, private readonly array $makers) {}

    /**
     * One case over all phases that fit it, equally likely where the text does not say.
     *
     * @param list<LinkageGroup> $groups
     * @param array<string, list<string>> $alleles by locus
     * @return list<array{string, State, Rational}>
     */
    public function of(array $groups, array $alleles, Rational $weight): array
    {
        $states = [State::none()];
        foreach ($groups as $group) {
            $pairs = [];
            foreach ($group->loci as $locus) {
                $own = $alleles[$locus] ?? [];
                $pairs[$locus] = $locus === Sex::LOCUS ? $this->sex->alleles() : [$own[0] ?? Allele::WILD, $own[1] ?? Allele::WILD];
            }
            $phasings = array_values(
                array_filter(
                    $group->phasings($pairs),
                    fn (Diplotype $diplotype): bool => $this->fitsMakers($diplotype, $group),
                ),
            );
            if (count($phasings) > 1 && $group->holdsSex() && $this->sex === Sex::Male) {
                $this->notes[] = 'Which sex chromosome carries the gene is not stated: male maker and female maker are taken as equally likely.';
            }
            $longer = [];
            foreach ($states as $state) {
                foreach ($phasings as $diplotype) {
                    $longer[] = $state->with($group, $diplotype);
                }
            }
            $states = $longer;
        }
        $each = $weight->times(Rational::of(1, max(1, count($states))));

        return array_map(static fn (State $state): array => [$state->key, $state, $each], $states);
    }

    private function fitsMakers(Diplotype $diplotype, LinkageGroup $group): bool
    {
        if ($this->makers === [] || ! $group->holdsSex()) {
            return true;
        }
        $sex = $group->indexOf(Sex::LOCUS);
        foreach ($diplotype->haplotypes as $haplotype) {
            foreach ($this->makers as $allele => $maker) {
                if (in_array($allele, $haplotype, true) && $haplotype[$sex] !== ($maker === Sex::Male ? Sex::Y : Sex::X)) {
                    return false;
                }
            }
        }

        return true;
    }
}
