<?php

declare(strict_types=1);

namespace Destino\Planning\Phenotypes;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Notation\Printer;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use Destino\Probability\Weights;
use WeakMap;

/** The linkage groups that matter to a project, each with its table of looks; everything else is left out. */
final class Space
{
    /** @var list<GroupTable> */
    public readonly array $groups;

    /** What is planned, without options that no founder can bring. */
    public readonly Project $project;

    public readonly Crossing $crossing;

    public readonly Choices $choices;

    /** Place of the group with sex among the groups; null where sex follows from none of them. */
    public readonly ?int $sexAt;

    /** @var array<int, array<int, float>> P(at least one such egg hatches in a season) by females and chance in millionths */
    private array $seasonal = [];

    /** @var WeakMap<Founder, list<int>> */
    private readonly WeakMap $looks;

    /** @var array<int, float> */
    private readonly array $clutchLaw;

    /** @param list<GroupTable>|null $tables of another space with the same target and founders */
    public function __construct(public readonly Catalogue $catalogue, Project $project, ?array $tables = null)
    {
        $project = AtHand::without($catalogue, $project);
        $this->project = $project;
        /** @var WeakMap<Founder, list<int>> $looks */
        $looks = new WeakMap;
        $this->looks = $looks;
        $groups = [];
        $sexAt = null;
        $tables ??= array_map(
            static fn (LinkageGroup $group): GroupTable => new GroupTable($catalogue, $group, $project->target),
            self::groupsOf($catalogue, $project),
        );
        // what hides is read first; of two that hide each other the second is read
        usort($tables, static fn (GroupTable $a, GroupTable $b): int => $b->canHide <=> $a->canHide);
        foreach ($tables as $table) {
            $sexAt = $table->holdsSex ? count($groups) : $sexAt;
            $groups[] = $table;
        }
        $this->groups = $groups;
        $this->choices = new Choices($project->target);
        $this->crossing = new Crossing($groups, $this->choices);
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
        return $this->looks[$founder] ??= array_map(static fn (GroupTable $group): int => $group->lookOf($founder->belief), $this->groups);
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
        if ($this->choices->isAny()) {
            return $this->acceptedByChoice($looks, $sex);
        }
        $chance = Rational::one();
        foreach ($looks as $i => $look) {
            $chance = $chance->times($this->groups[$i]->accepted($look));
        }

        return $chance;
    }

    /** @param list<int> $looks */
    private function acceptedByChoice(array $looks, Sex $sex): Rational
    {
        $chances = [$this->choices->leftTo($sex) => Rational::one()];
        foreach ($looks as $i => $look) {
            $next = [];
            foreach ($chances as $left => $p) {
                foreach ($this->groups[$i]->left($look) as $here => $q) {
                    $next[$left & $here] = isset($next[$left & $here]) ? $next[$left & $here]->plus($p->times($q)) : $p->times($q);
                }
            }
            $chances = $next;
        }

        return Weights::sum(array_values(array_filter($chances, $this->choices->suffices(...), ARRAY_FILTER_USE_KEY)));
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
        $millionths = (int) round($chance * 1e6);
        if (! isset($this->seasonal[$females][$millionths])) {
            $assumptions = $this->project->assumptions;
            $none = 0.0;
            foreach ($this->clutchLaw as $eggs => $weight) {
                $none += $weight * (1 - $chance * $assumptions->survival()) ** $eggs;
            }
            $this->seasonal[$females][$millionths] = 1 - (1 - $assumptions->layRate * (1 - $none)) ** $females;
        }

        return $this->seasonal[$females][$millionths];
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

    /** @return list<LinkageGroup> those that matter to a project: what its animals are elsewhere changes nothing */
    public static function groupsOf(Catalogue $catalogue, Project $project): array
    {
        $keys = [];
        foreach ($project->target->loci() as $locus) {
            $keys[$catalogue->groupOf($locus)->key] = true;
        }
        if ($project->target->limitsTheRest()) {
            foreach ($project->founders as $founder) {
                $keys += array_fill_keys($founder->belief->groups(), true);
            }
        }

        return array_values(array_intersect_key($catalogue->groups, $keys));
    }
}
