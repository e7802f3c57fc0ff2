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

    /** @var list<TargetCondition> that speak of this group */
    public array $conditions;

    /** Whether the target here asks only for copies, so that more of them never hurt. */
    public bool $isMonotone;

    public function __construct(Catalogue $catalogue, LinkageGroup $group, Target $target)
    {
        $wanted = array_map(static fn (TargetCondition $condition): array => array_flip($condition->wantedAlleles()), $target->conditions);
        $this->alleles = array_replace([], ...$wanted);
        $own = [];
        foreach (array_diff($group->loci, [Sex::LOCUS]) as $locus) {
            $own += array_flip($catalogue->locus($locus)->alleles);
        }
        $this->here = array_intersect_key($this->alleles, $own);
        $this->conditions = array_values(array_filter(
            $target->conditions, static fn (TargetCondition $condition): bool => in_array($condition->locus(), $group->loci, true),
        ));
        $this->isMonotone = ! $target->only && self::asksForCopies($this->conditions);
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

    /** Whether it carries every allele that is wanted here. */
    public function isAllIn(Diplotype $diplotype): bool
    {
        return array_diff_key($this->here, array_flip(array_merge(...$diplotype->haplotypes))) === [];
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
