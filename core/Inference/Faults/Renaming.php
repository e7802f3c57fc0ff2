<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\JointBelief;
use Destino\Genome\State;
use Destino\Inference\Evidence\Testimony;
use Destino\Notation\Clause;
use Destino\Notation\Target;
use Destino\Notation\TargetCondition;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/**
 * What statements and looks say once a gene is known to be called by a wrong name: the alleles become another one, of the
 * same locus or of another, or some gene that is not looked at here.
 */
final readonly class Renaming implements StatementEdit
{
    /** @param list<string> $alleles */
    public function __construct(private Catalogue $catalogue, private array $alleles, private ?string $instead) {}

    public function testimony(Testimony $testimony): Testimony
    {
        return new Testimony(
            $testimony->id, $this->belief($testimony->says), $testimony->source, $testimony->certainty,
            $testimony->namesAllThatShows,
            array_values(array_filter($testimony->absent, fn (string $allele): bool => ! in_array($allele, $this->alleles, true))),
        );
    }

    /** Conditions on the gene are asked of the other one; where it is some gene that is not looked at, they fall. */
    public function target(Target $saw): Target
    {
        $conditions = [];
        foreach ($saw->conditions as $condition) {
            $names = array_filter($condition->anyOf, fn (Clause $clause): bool => array_intersect($clause->alleles, $this->alleles) !== []);
            if ($names === []) {
                $conditions[] = $condition;
            } elseif (
                $this->instead !== null
                && (count($names) === count($condition->anyOf) || $this->catalogue->allele($this->instead)->locus === $condition->locus())
            ) {
                $conditions[] = new TargetCondition(array_map($this->clause(...), $condition->anyOf), $condition->piece, $condition->from);
            }
        }

        return new Target($saw->text, $conditions, $saw->only, $saw->sex, $saw->notes);
    }

    /** The belief with the other allele in the place of these. */
    public function belief(Belief $belief): Belief
    {
        $factors = [];
        foreach ($belief->factors as $factor) {
            $groups = $factor->groups;
            $weighted = [];
            foreach ($factor->states->entries() as [$state, $chance]) {
                $new = $this->state($state, $belief);
                $groups = array_values(array_unique([...$groups, ...array_keys($new->diplotypes)]));
                $weighted[] = [$new, $chance];
            }
            $factors[] = $this->factor($groups, $weighted, $belief);
        }

        return new Belief($belief->sex, $this->apart($factors, $belief));
    }

    public function state(State $state, Belief $of): State
    {
        $moved = 0;
        foreach ($state->diplotypes as $key => $diplotype) {
            [$first, $second] = array_map(function (array $haplotype) use (&$moved): array {
                return array_map(function (string $allele) use (&$moved): string {
                    if (! in_array($allele, $this->alleles, true)) {
                        return $allele;
                    }
                    $isSameLocus = $this->instead !== null
                        && $this->catalogue->allele($this->instead)->locus === $this->catalogue->allele($allele)->locus;
                    $moved += $isSameLocus ? 0 : 1;

                    return $isSameLocus ? $this->instead : Allele::WILD;
                }, $haplotype);
            }, $diplotype->haplotypes);
            $state = $state->with($this->catalogue->groups[$key], new Diplotype($first, $second));
        }

        return $this->instead === null ? $state : $this->added($state, $this->instead, $moved, $of);
    }

    /** The genotype with so many copies of an allele in the place of wild ones. */
    private function added(State $state, string $allele, int $copies, Belief $of): State
    {
        $group = $this->catalogue->groupOf($this->catalogue->allele($allele)->locus);
        $at = $group->indexOf($this->catalogue->allele($allele)->locus);
        $haplotypes = ($state->diplotypes[$group->key] ?? $group->wildType($of->sex))->haplotypes;
        foreach ([0, 1] as $strand) {
            if ($copies > 0 && $haplotypes[$strand][$at] === Allele::WILD) {
                $haplotypes[$strand][$at] = $allele;
                $copies--;
            }
        }

        return $state->with($group, new Diplotype(array_values($haplotypes[0]), array_values($haplotypes[1])));
    }

    /**
     * @param list<string> $groups
     * @param list<array{State, Rational}> $weighted
     */
    private function factor(array $groups, array $weighted, Belief $of): JointBelief
    {
        $states = [];
        foreach ($weighted as [$state, $chance]) {
            $whole = [];
            foreach ($groups as $group) {
                $whole[$group] = $state->diplotypes[$group] ?? $this->catalogue->groups[$group]->wildType($of->sex);
            }
            $whole = State::of($whole);
            $states[] = [$whole->key, $whole, $chance];
        }

        return new JointBelief($groups, Distribution::ofWeighted($states));
    }

    /**
     * A group that two factors hold now stays with the first that names it.
     *
     * @param list<JointBelief> $factors
     * @return list<JointBelief>
     */
    private function apart(array $factors, Belief $of): array
    {
        $held = $left = [];
        foreach ($factors as $factor) {
            $own = array_values(array_diff($factor->groups, array_keys($held)));
            $held += array_fill_keys($own, true);
            if ($own !== []) {
                $left[] = $own === $factor->groups
                    ? $factor
                    : $this->factor(
                        $own,
                        array_map(
                            static fn (array $entry): array => [
                                State::of(array_intersect_key($entry[0]->diplotypes, array_flip($own))), $entry[1],
                            ],
                            array_values($factor->states->entries()),
                        ),
                        $of,
                    );
            }
        }

        return $left;
    }

    private function clause(Clause $clause): Clause
    {
        if ($this->instead === null || array_intersect($clause->alleles, $this->alleles) === []) {
            return $clause;
        }
        $alleles = array_map(
            fn (string $allele): string => in_array($allele, $this->alleles, true) ? $this->instead : $allele, $clause->alleles,
        );

        return new Clause($clause->kind, $this->catalogue->allele($this->instead)->locus, $alleles, $clause->text);
    }
}
