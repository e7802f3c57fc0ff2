<?php

declare(strict_types=1);

namespace Destino\Planning\Given;

use Destino\Notation\Target;
use Destino\Pairing\Advice\Stance;
use Destino\Planning\Search\RouteStep;
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
     * @param array<array-key, int> $keep how many to keep of a young, by its words and sex (RouteStep::young), where it is not
     *     left to the plan
     * @param list<string> $pinned founders (ids) that a route must use
     * @param array<string, Stance> $stances what to do when a cross can bring a condition: refuse leaves the cross out, warn
     *     is told with it
     * @param bool $sure whether a pair is wanted that gives the target in every egg that lives
     * @param array<string, float> $sound share of the young that are sound, by "sire dam" (ids of founders), where malformed ones
     *     were seen of a pair: only the sound ones count and are kept
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
        public array $pinned = [],
        public array $stances = [],
        public bool $sure = false,
        public array $sound = [],
        public Aim $aim = new Aim,
    ) {}

    /**
     * Whether so many animals of the target are enough.
     *
     * @param array{male: int, female: int} $found
     */
    public function isEnough(array $found): bool
    {
        return $found['male'] >= $this->wanted['male'] && $found['female'] >= $this->wanted['female']
            && $found['male'] + $found['female'] >= max($this->wanted['any'], $this->wanted['male'] + $this->wanted['female']);
    }

    /** Share of the young of two animals that are sound, as far as is known of these two. */
    public function soundOf(string $sire, string $dam): float
    {
        return $this->sound === [] ? 1.0 : $this->sound["{$sire} {$dam}"] ?? 1.0;
    }

    /** @return array{male: int, female: int, any: int} how many animals of the target: one, two, three or a pair; of a sure pair one */
    public static function number(string $wanted): array
    {
        return match ($wanted) {
            'pair' => ['male' => 1, 'female' => 1, 'any' => 2],
            'two' => ['male' => 0, 'female' => 0, 'any' => 2],
            'three' => ['male' => 0, 'female' => 0, 'any' => 3],
            default => ['male' => 0, 'female' => 0, 'any' => 1],
        };
    }

    public function withTarget(Target $target): self
    {
        return new self(
            $target, $this->founders, $this->assumptions, $this->horizon, $this->budget, $this->tubs, $this->mostInbreeding, $this->wanted,
            $this->forbidden, $this->keep, $this->pinned, $this->stances, $this->sure, $this->sound, $this->aim,
        );
    }

    /** @param list<Founder> $founders */
    public function withFounders(array $founders): self
    {
        return $this->with($founders, $this->assumptions, $this->tubs);
    }

    public function withAssumptions(PlanAssumptions $assumptions): self
    {
        return $this->with($this->founders, $assumptions, $this->tubs);
    }

    /** The same with so many tubs for young, whatever the keeper means to give. */
    public function withTubs(?int $tubs): self
    {
        return $this->with($this->founders, $this->assumptions, $tubs, new Aim($this->aim->early, null, $this->aim->clutches));
    }

    /** The most young to keep at one time. */
    public function tubsGiven(): ?int
    {
        return $this->aim->within($this->tubs);
    }

    /** The same without a budget, a limit of relatedness, pins or house rules: to tell which of them stands in the way. */
    public function withoutLimits(bool $budget, bool $inbreeding, bool $pins, bool $stances): self
    {
        return new self(
            $this->target, $this->founders, $this->assumptions, $this->horizon, $budget ? null : $this->budget, $this->tubs,
            $inbreeding ? null : $this->mostInbreeding, $this->wanted, $this->forbidden, $this->keep, $pins ? [] : $this->pinned,
            $stances ? [] : $this->stances, $this->sure, $this->sound, $this->aim,
        );
    }

    /** @param list<Founder> $founders */
    private function with(array $founders, PlanAssumptions $assumptions, ?int $tubs, ?Aim $aim = null): self
    {
        return new self(
            $this->target, $founders, $assumptions, $this->horizon, $this->budget, $tubs, $this->mostInbreeding, $this->wanted,
            $this->forbidden, $this->keep, $this->pinned, $this->stances, $this->sure, $this->sound, $aim ?? $this->aim,
        );
    }
}
