<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Notation\ClauseKind;
use Destino\Notation\Target;
use Destino\Notation\TargetCondition;

/** What a target asks for at one linkage group. */
final readonly class Wanted
{
    /** @var array<string, int> alleles that the target asks for, anywhere */
    public array $alleles;

    /** @var array<string, int> those of this group */
    public array $here;

    /** @var array<string, int> those of this group that must be there, whatever is chosen */
    private array $must;

    /** @var array<int, array<string, int>> those of this group by the option that asks for them */
    private array $byOption;

    /** @var list<TargetCondition> that must hold of this group, whatever is chosen */
    public array $conditions;

    /** Whether the target here asks only for copies, so that more of them never hurt. */
    public bool $isMonotone;

    public function __construct(Catalogue $catalogue, LinkageGroup $group, Target $target)
    {
        $this->alleles = array_flip($target->wantedAlleles());
        $own = [];
        foreach (array_diff($group->loci, [Sex::LOCUS]) as $locus) {
            $own += array_flip($catalogue->locus($locus)->alleles);
        }
        $this->here = array_intersect_key($this->alleles, $own);
        $ofTheseConditions = static fn (Target $of): array => array_intersect_key(array_flip(array_merge(
            [], ...array_map(static fn (TargetCondition $one): array => $one->wantedAlleles(), $of->conditions),
        )), $own);
        $this->must = $ofTheseConditions($target);
        $this->byOption = array_map($ofTheseConditions, (new Choices($target))->options);
        $this->conditions = array_values(array_filter(
            $target->conditions, static fn (TargetCondition $condition): bool => in_array($condition->locus(), $group->loci, true),
        ));
        $this->isMonotone = ! $target->limitsTheRest() && self::asksForCopies(array_values(array_filter(
            $target->allConditions(), static fn (TargetCondition $condition): bool => in_array($condition->locus(), $group->loci, true),
        )));
    }

    /**
     * Whether an animal carries anything that is wanted: one that carries nothing of it helps nobody, unless nothing is asked for
     * and a gene has only to be cleared.
     *
     * @param list<GroupTable> $groups
     * @param list<int> $looks by group
     */
    public static function isAnyIn(array $groups, array $looks): bool
    {
        $asks = false;
        foreach ($looks as $i => $look) {
            $asks = $asks || $groups[$i]->asks();
            if ($groups[$i]->wanted($look) > 0.0) {
                return true;
            }
        }

        return ! $asks;
    }

    /** Copies of wanted alleles. */
    public function copiesIn(Diplotype $diplotype): int
    {
        $copies = 0;
        foreach ($diplotype->haplotypes as $haplotype) {
            $copies += count(array_intersect_key($this->alleles, array_flip($haplotype)));
        }

        return $copies;
    }

    /** Whether it carries every allele that must be there. */
    public function isAllIn(Diplotype $diplotype): bool
    {
        return array_diff_key($this->must, array_flip(array_merge(...$diplotype->haplotypes))) === [];
    }

    /** The options (Choices) whose alleles of this group it carries, all of them. */
    public function optionsIn(Diplotype $diplotype): int
    {
        $carried = array_flip(array_merge(...$diplotype->haplotypes));
        $options = 0;
        foreach ($this->byOption as $option => $alleles) {
            $options |= array_diff_key($alleles, $carried) === [] ? 1 << $option : 0;
        }

        return $options;
    }

    /** @param list<TargetCondition> $conditions */
    private static function asksForCopies(array $conditions): bool
    {
        $kinds = [ClauseKind::AtLeastOne, ClauseKind::TwoCopies, ClauseKind::Compound, ClauseKind::Carries];
        foreach ($conditions as $condition) {
            foreach ($condition->anyOf as $clause) {
                if (! in_array($clause->kind, $kinds, true)) {
                    return false;
                }
            }
        }

        return true;
    }
}
