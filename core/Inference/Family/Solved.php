<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Probability\Rational;

/** What follows for every member of a family model. */
final readonly class Solved
{
    /**
     * @param list<array<string, array<int, Rational>>> $of P(genotype | everything) by space, member and number of the
     *     genotype; empty where it cannot be
     * @param float $logEvidence natural logarithm of P(evidence); minus infinity where it cannot be
     * @param float $error below which every probability is off in 95 of 100 trials; 0 where exact
     * @param array<string, float> $errors the same by member; those that are exact are left out
     */
    public function __construct(
        public array $of,
        public float $logEvidence,
        public bool $isExact = true,
        public float $error = 0.0,
        public array $errors = [],
    ) {}

    public static function impossible(): self
    {
        return new self([], -INF);
    }

    public function isPossible(): bool
    {
        return $this->of !== [];
    }
}
