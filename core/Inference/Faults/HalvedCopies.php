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
use Destino\Notation\ClauseKind;
use Destino\Notation\Target;
use Destino\Notation\TargetCondition;
use Destino\Probability\Distribution;

/** What is said and seen once two copies of some alleles are known to be one. */
final readonly class HalvedCopies implements StatementEdit
{
    /** @param list<string> $alleles */
    public function __construct(private Catalogue $catalogue, private array $alleles) {}

    public function testimony(Testimony $testimony): Testimony
    {
        $says = new Belief($testimony->says->sex, array_map($this->factor(...), $testimony->says->factors));

        return new Testimony(
            $testimony->id, $says, $testimony->source, $testimony->certainty, $testimony->namesAllThatShows, $testimony->absent,
        );
    }

    public function target(Target $saw): Target
    {
        $conditions = array_map(
            fn (TargetCondition $one): TargetCondition => new TargetCondition(array_map($this->clause(...), $one->anyOf), $one->piece,
                $one->from),
            $saw->conditions,
        );

        return new Target($saw->text, $conditions, $saw->only, $saw->sex, $saw->notes);
    }

    private function factor(JointBelief $factor): JointBelief
    {
        $states = [];
        foreach ($factor->states->entries() as [$state, $chance]) {
            $new = $this->state($state);
            $states[] = [$new->key, $new, $chance];
        }

        return new JointBelief($factor->groups, Distribution::ofWeighted($states));
    }

    private function state(State $state): State
    {
        foreach ($state->diplotypes as $key => $diplotype) {
            [$first, $second] = $diplotype->haplotypes;
            foreach ($first as $at => $allele) {
                if ($allele === $second[$at] && in_array($allele, $this->alleles, true)) {
                    $second[$at] = Allele::WILD;
                }
            }
            $state = $state->with($this->catalogue->groups[$key], new Diplotype($first, $second));
        }

        return $state;
    }

    private function clause(Clause $clause): Clause
    {
        $isTwice = $clause->kind === ClauseKind::TwoCopies && array_intersect($clause->alleles, $this->alleles) !== [];

        return $isTwice ? new Clause(ClauseKind::ExactlyOne, $clause->locus, $clause->alleles, $clause->text) : $clause;
    }
}
