<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Condition;
use Destino\Genome\GenotypePattern;
use Destino\Genome\LinkageGroup;
use Destino\Genome\PairWarning;
use Destino\Genome\Sex;
use Destino\Pairing\Advice\Advice;
use Destino\Pairing\Advice\Advisor;
use Destino\Pairing\Advice\Stance;
use Destino\Pairing\Advice\Verdict;
use Destino\Pairing\Cross;
use Destino\Pairing\PairingError;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;

/**
 * What house rules say of the crosses of a plan. Within the groups of the plan a cross that they refuse is not made at
 * all; what a founder carries besides is looked at once a route is found, and the route is left out for it. Only what is
 * possible counts, not how likely it is.
 */
final class Welfare
{
    /** @var array<string, bool> by group and looks */
    private array $refused = [];

    /** @var array<string, true>|null */
    private ?array $troubled = null;

    /** @var array<int, bool> by group */
    private array $isTroubled = [];

    /** @var array<string, Verdict> by the two animals */
    private array $verdicts = [];

    public function __construct(private readonly Space $space) {}

    /** Whether anything is refused or warned of at all. */
    public function isAsked(): bool
    {
        return $this->space->project->stances !== [];
    }

    /** Equal for founders that house rules can only judge alike, whatever a plan looks at. */
    public function marks(Founder $founder): string
    {
        if (! $this->isAsked()) {
            return '';
        }
        $marks = [];
        foreach ($founder->belief->factors as $factor) {
            foreach ($factor->states->entries() as [$state]) {
                foreach ($state->diplotypes as $diplotype) {
                    foreach (array_merge(...$diplotype->haplotypes) as $allele) {
                        if (isset($this->troubled()[$allele])) {
                            $marks[$diplotype->key] = true;
                        }
                    }
                }
            }
        }
        ksort($marks);

        return implode(',', array_keys($marks));
    }

    /** @return array<string, true> alleles of which some form dies or brings a condition */
    private function troubled(): array
    {
        if ($this->troubled === null) {
            $this->troubled = [];
            $catalogue = $this->space->catalogue;
            foreach (
                [
                    ...array_merge(
                        [],
                        ...array_map(
                            static fn (Condition $condition): array => array_column($condition->appliesTo, 'pattern'),
                            array_values($catalogue->conditions),
                        ),
                    ),
                    ...array_map(static fn (PairWarning $warning): GenotypePattern => $warning->pattern, $catalogue->warnings),
                ] as $pattern
            ) {
                $this->troubled += array_fill_keys(array_keys($pattern->copies), true);
            }
            foreach (array_keys($catalogue->loci) as $locus) {
                foreach ($catalogue->formsAt($locus) as $form) {
                    $this->troubled += $form->isLethal() ? array_fill_keys($form->pair, true) : [];
                }
            }
            unset($this->troubled[Allele::WILD]);
        }

        return $this->troubled;
    }

    /** Whether anything can be said of a cross by what lies in a group. */
    private function hasTrouble(LinkageGroup $group): bool
    {
        foreach (array_diff($group->loci, [Sex::LOCUS]) as $locus) {
            if (array_intersect_key($this->troubled(), array_flip($this->space->catalogue->locus($locus)->alleles)) !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether what the plan knows of two animals is enough to refuse the cross.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     */
    public function refuses(array $sire, array $dam): bool
    {
        foreach ($this->isAsked() ? $sire : [] as $i => $look) {
            $group = $this->space->groups[$i];
            if (! ($this->isTroubled[$i] ??= $this->hasTrouble($group->group))) {
                continue;
            }
            if (
                $this->refused["{$i} {$group->support($look)} x {$group->support($dam[$i])}"] ??= $this->verdictOn(
                    $this->space->beliefOf($sire, Sex::Male, $i), $this->space->beliefOf($dam, Sex::Female, $i),
                )->stance === Stance::Refuse
            ) {
                return true;
            }
        }

        return false;
    }

    /** What is to be said of a cross, with everything that is known of its parents. */
    public function verdict(Node $sire, Node $dam): Verdict
    {
        return $this->verdicts["{$this->kind($sire)} x {$this->kind($dam)}"] ??= $this->verdictOn(
            $sire->isFounder() ? $sire->founders[0]->belief : $this->space->beliefOf($sire->looks, Sex::Male),
            $dam->isFounder() ? $dam->founders[0]->belief : $this->space->beliefOf($dam->looks, Sex::Female),
        );
    }

    /** Equal for animals of which the same is possible: whether something can come of a cross does not depend on the odds. */
    private function kind(Node $node): string
    {
        return $node->isFounder()
            ? $node->key
            : implode(
                '|',
                array_map(static fn (GroupTable $group, int $look): string => $group->support($look), $this->space->groups, $node->looks),
            );
    }

    /** Whether no cross behind an animal is refused. */
    public function allows(Node $node): bool
    {
        if (! $this->isAsked() || $node->sire === null || $node->dam === null) {
            return true;
        }

        return $this->verdict($node->sire, $node->dam)->stance !== Stance::Refuse
            && $this->allows($node->sire)
            && $this->allows($node->dam);
    }

    /** @return list<string> */
    public function cautions(Node $sire, Node $dam): array
    {
        return $this->isAsked() ? array_map(static fn (Advice $advice): string => $advice->text, $this->verdict($sire, $dam)->because) : [];
    }

    private function verdictOn(Belief $sire, Belief $dam): Verdict
    {
        try {
            $advice = Advisor::ofConditions(Cross::of($this->space->catalogue, $sire, $dam));
        } catch (PairingError) { // more is open about the two than can be worked out
            $advice = [];
        }

        return Verdict::of($advice, $this->space->project->stances);
    }
}
