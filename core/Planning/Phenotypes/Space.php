<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Notation\Printer;
use Destino\Notation\TargetCondition;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** The linkage groups that matter to a project, each with its table of looks; everything else is left out. */
final class Space
{
    /** @var list<GroupTable> */
    public readonly array $groups;

    /** Place of the group with sex among the groups; null where sex follows from none of them. */
    public readonly ?int $sexAt;

    /** @var array<int, float> P(at least one such egg hatches in a season) by chance in millionths, once worked out */
    private array $seasonal = [];

    /** @var array<int, float> */
    private readonly array $clutchLaw;

    /** @param list<GroupTable>|null $tables of another space with the same target and founders */
    public function __construct(public readonly Catalogue $catalogue, public readonly Project $project, ?array $tables = null)
    {
        $groups = [];
        $sexAt = null;
        $tables ??= array_map(
            static fn (LinkageGroup $group): GroupTable => new GroupTable($catalogue, $group, $project->target),
            self::relevant($catalogue, $project),
        );
        // what hides is read first; of two that hide each other the second is read
        usort($tables, static fn (GroupTable $a, GroupTable $b): int => $b->canHide <=> $a->canHide);
        foreach ($tables as $table) {
            $sexAt = $table->holdsSex ? count($groups) : $sexAt;
            $groups[] = $table;
        }
        $this->groups = $groups;
        $this->sexAt = $sexAt;
        $this->clutchLaw = $project->assumptions->clutchLaw();
    }

    /** The same animals and looks under other assumptions. */
    public function under(PlanAssumptions $assumptions): self
    {
        return $this->for($this->project->withAssumptions($assumptions));
    }

    /** The same animals and phenotypes for a project that differs in its limits only. */
    public function for(Project $project): self
    {
        return new self($this->catalogue, $project, $this->groups);
    }

    /** @return list<int> the looks of a founder by group */
    public function looksOf(Founder $founder): array
    {
        return array_map(static fn (GroupTable $group): int => $group->lookOf($founder->belief), $this->groups);
    }

    /**
     * P(an animal of these looks and this sex meets the target).
     *
     * @param list<int> $looks
     */
    public function accepted(array $looks, Sex $sex): Rational
    {
        if (! $this->project->target->acceptsSex($sex)) {
            return Rational::zero();
        }
        $chance = Rational::one();
        foreach ($looks as $i => $look) {
            $chance = $chance->times($this->groups[$i]->accepted($look));
        }

        return $chance;
    }

    /** P(a hatchling is of this sex) where no group of the plan tells. */
    public function shareOf(Sex $sex): float
    {
        $females = $this->project->assumptions->femaleShare;

        return $this->sexAt !== null ? 1.0 : ($sex === Sex::Female ? $females : 1 - $females);
    }

    /**
     * P(at least one wanted young hatches in a season) with so many females, each laying at most one clutch.
     *
     * @param float $chance P(an egg that hatches is wanted)
     */
    public function perSeason(float $chance, int $females): float
    {
        $key = (int) round($chance * 1e6) * 64 + min(63, $females);
        if (! isset($this->seasonal[$key])) {
            $assumptions = $this->project->assumptions;
            $none = 0.0;
            foreach ($this->clutchLaw as $eggs => $weight) {
                $none += $weight * (1 - $chance * $assumptions->survival()) ** $eggs;
            }
            $this->seasonal[$key] = 1 - (1 - $assumptions->layRate * (1 - $none)) ** $females;
        }

        return $this->seasonal[$key];
    }

    /**
     * An animal of these looks in the printer's words, as far as the plan knows it.
     *
     * @param list<int> $looks
     */
    public function text(array $looks): string
    {
        $printer = new Printer($this->catalogue);
        $words = [];
        foreach ($looks as $i => $look) {
            $table = $this->groups[$i];
            foreach ($table->group->loci as $at => $locus) {
                if ($locus === Sex::LOCUS) {
                    continue;
                }
                $weighted = [];
                foreach ($table->book->looks[$look] as $state => $p) {
                    $pair = $table->book->states[$state]->pairAt($at);
                    sort($pair);
                    $weighted[] = [implode('/', $pair), [$pair[0], $pair[1]], $p];
                }
                $words[] = $printer->locus($locus, Distribution::ofWeighted($weighted));
            }
        }

        return Printer::text($words);
    }

    /**
     * P(an egg is such a young), the two parents' looks taken as they are known.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     * @param list<int> $young
     */
    public function oddsOf(array $sire, array $dam, array $young): Rational
    {
        $odds = Rational::one();
        $hiding = [];
        foreach ($this->groups as $i => $group) {
            $own = Rational::zero();
            foreach ($group->cross($sire[$i], $dam[$i], $hiding) as [$look, $chance]) {
                $own = $look === $young[$i] ? $own->plus($chance) : $own;
            }
            $odds = $odds->times($own);
            $hiding = [...$hiding, ...$group->hides($young[$i])];
        }

        return $odds;
    }

    /**
     * P(an egg meets the target), over all looks of the young, sex included where a group of the plan tells it.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     */
    public function oddsOfTarget(array $sire, array $dam): Rational
    {
        $odds = Rational::one();
        foreach ($this->groups as $i => $group) {
            $odds = $odds->times($group->meeting($sire[$i], $dam[$i]));
        }

        return $odds;
    }

    /**
     * Whether every egg of two looks that lives meets the target, sex included where a group of the plan tells it.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     */
    public function isSure(array $sire, array $dam): bool
    {
        foreach ($this->groups as $i => $group) {
            foreach ($group->cross($sire[$i], $dam[$i]) as [$look]) {
                if (! $group->accepted($look)->isOne()) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * What is believed of an animal of these looks at the groups of the plan, or at one of them.
     *
     * @param list<int> $looks
     */
    public function beliefOf(array $looks, Sex $sex, ?int $only = null): Belief
    {
        $factors = [];
        foreach ($this->groups as $i => $table) {
            if ($only === null || $only === $i) {
                $weighted = [];
                foreach ($table->book->looks[$looks[$i]] as $state => $p) {
                    $own = State::of([$table->group->key => $table->book->states[$state]]);
                    $weighted[] = [$own->key, $own, $p];
                }
                $factors[] = new JointBelief([$table->group->key], Distribution::ofWeighted($weighted));
            }
        }

        return new Belief($sex, $factors);
    }

    /**
     * The looks of the young that most often meet the target.
     *
     * @param list<int> $sire
     * @param list<int> $dam
     * @return list<int>
     */
    public function likeliestHit(array $sire, array $dam): array
    {
        $looks = $hiding = [];
        foreach ($this->groups as $i => $group) {
            $best = -1.0;
            $looks[$i] = -1;
            foreach ($group->cross($sire[$i], $dam[$i], $hiding) as [$look, , $p]) {
                $hit = $p * $group->accepted($look)->toFloat();
                if ($hit > $best) {
                    [$best, $looks[$i]] = [$hit, $look];
                }
            }
            $hiding = $looks[$i] < 0 ? $hiding : [...$hiding, ...$group->hides($looks[$i])];
        }

        return array_values($looks);
    }

    /**
     * Conditions of the target that no founder can bring, each with what is missing.
     *
     * @return list<string>
     */
    public function missing(): array
    {
        $carried = [];
        foreach ($this->groups as $i => $table) {
            foreach ($this->project->founders as $founder) {
                foreach ($table->book->looks[$table->lookOf($founder->belief)] as $state => $p) {
                    foreach ($table->book->states[$state]->haplotypes as $haplotype) {
                        $carried += array_flip($haplotype);
                    }
                }
            }
        }
        $missing = [];
        foreach ($this->project->target->conditions as $condition) {
            if ($this->isMissing($condition, $carried)) {
                $missing[] = $condition->piece;
            }
        }

        return $missing;
    }

    /** @param array<string, int> $carried */
    private function isMissing(TargetCondition $condition, array $carried): bool
    {
        foreach ($this->catalogue->formsAt($condition->locus()) as $form) {
            if ($condition->accepts($form) && ! $form->isLethal() && $this->isCarried($form, $carried)) {
                return false;
            }
        }

        return true;
    }

    /** @param array<string, int> $carried */
    private function isCarried(Form $form, array $carried): bool
    {
        foreach ($form->pair as $allele) {
            if ($allele !== Allele::WILD && ! isset($carried[$allele])) {
                return false;
            }
        }

        return true;
    }

    /** @return list<LinkageGroup> */
    private static function relevant(Catalogue $catalogue, Project $project): array
    {
        $keys = [];
        foreach ($project->target->loci() as $locus) {
            $keys[$catalogue->groupOf($locus)->key] = true;
        }
        if ($project->target->only) {
            foreach ($project->founders as $founder) {
                $keys += array_fill_keys($founder->belief->groups(), true);
            }
        }

        return array_values(array_intersect_key($catalogue->groups, $keys));
    }
}
