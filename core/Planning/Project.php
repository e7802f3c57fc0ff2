<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Notation\Target;
use Destino\Probability\Rational;

/** What is wanted, from what, and within which limits. */
final readonly class Project
{
    public const MOST_SEASONS = 25;

    /**
     * @param list<Founder> $founders owned and for sale
     * @param int $horizon seasons looked ahead
     * @param float|null $budget for purchases
     * @param list<array{string, string}> $forbidden pairs of founders (ids) that are not to be mated
     * @param int|null $tubs animals kept of the plan at the most
     * @param Rational|null $mostInbreeding F of the target's animals at the most
     * @param array{male: int, female: int, any: int} $wanted how many animals of the target
     * @param array<string, int> $keep how many to keep of a step, by the step's key, where it is not left to the plan
     */
    public function __construct(
        public Target $target,
        public array $founders,
        public PlanAssumptions $assumptions,
        public int $horizon = 8,
        public ?float $budget = null,
        public ?int $tubs = null,
        public ?Rational $mostInbreeding = null,
        public array $wanted = ['male' => 0, 'female' => 0, 'any' => 1],
        public array $forbidden = [],
        public array $keep = [],
    ) {}

    /** @param list<Founder> $founders */
    public function withFounders(array $founders): self
    {
        return new self($this->target, $founders, $this->assumptions, $this->horizon, $this->budget, $this->tubs, $this->mostInbreeding, $this->wanted, $this->forbidden, $this->keep);
    }

    public function withAssumptions(PlanAssumptions $assumptions): self
    {
        return new self($this->target, $this->founders, $assumptions, $this->horizon, $this->budget, $this->tubs, $this->mostInbreeding, $this->wanted, $this->forbidden, $this->keep);
    }

    /** @param array<string, int> $keep */
    public function withKeep(array $keep): self
    {
        return new self($this->target, $this->founders, $this->assumptions, $this->horizon, $this->budget, $this->tubs, $this->mostInbreeding, $this->wanted, $this->forbidden, $keep);
    }
}
