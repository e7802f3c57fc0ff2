<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\State;
use Destino\Inference\Faults\Contradiction;
use Destino\Probability\Distribution;

/** What follows for a family at some linkage groups from everything that is recorded of it. */
final readonly class FamilyPosterior
{
    /**
     * @param list<string> $groups keys of the linkage groups
     * @param array<string, Distribution<State>> $of P(genotype | everything) by animal; those that are left out are wild type
     * @param list<Contradiction> $contradictions
     * @param list<Contradiction> $unlikely evidence that is possible, and hardly so
     * @param array<string, float> $errors below which the probabilities of an animal are off; those that are exact are left out
     * @param bool $isDisputed whether other groups of the family have a say in it, since something is wrong somewhere
     */
    public function __construct(
        public array $groups,
        public array $of,
        public float $logEvidence,
        public bool $isExact,
        public float $error,
        public array $contradictions,
        public array $unlikely = [],
        public bool $isDisputed = false,
        public array $errors = [],
    ) {}
}
