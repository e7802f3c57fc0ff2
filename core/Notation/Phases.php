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
    /** @var list<string> what was assumed of a phase, since the text does not say */
    public array $notes = [];

    /** @param array<string, Sex> $makers by allele: the chromosome that a text puts it on */
    public function __construct(private readonly Sex $sex, private readonly array $makers) {}

    /**
     * One case over all phases that fit it, as likely as the linkage group has them where the text does not say.
     *
     * @param list<LinkageGroup> $groups
     * @param array<string, list<string>> $alleles by locus
     * @return list<array{string, State, Rational}>
     */
    public function of(array $groups, array $alleles, Rational $weight): array
    {
        $states = [[State::none(), $weight]];
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
            if (count($phasings) > 1 && $group->coupling !== null) {
                $this->notes[] = 'Whether its linked genes stand on one chromosome or on two is not stated: on one is taken as '
                    .Percentage::print($group->coupling).' likely.';
            }
            $longer = [];
            $chances = $group->phaseChances($phasings);
            foreach ($states as [$state, $before]) {
                foreach ($phasings as $i => $diplotype) {
                    $longer[] = [$state->with($group, $diplotype), $before->times($chances[$i])];
                }
            }
            $states = $longer;
        }

        return array_map(static fn (array $one): array => [$one[0]->key, ...$one], $states);
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
