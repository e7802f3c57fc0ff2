<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/** What follows for each variable of a factor graph. */
final readonly class Marginals
{
    /**
     * @param array<int, list<Rational>> $of P(value | evidence) by variable; empty where the evidence cannot be
     * @param float $logEvidence natural logarithm of P(evidence); minus infinity where it cannot be
     * @param bool $isExact false where a sampler stood in
     * @param float $error below which every probability is off in 95 of 100 trials; 0 where exact
     * @param array<int, float> $errors the same by variable; empty where exact
     */
    public function __construct(
        public array $of,
        public float $logEvidence,
        public bool $isExact = true,
        public float $error = 0.0,
        public array $errors = [],
    ) {}

    public function isPossible(): bool
    {
        return $this->logEvidence > -INF;
    }
}
