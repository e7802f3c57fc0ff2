<?php

declare(strict_types=1);

namespace Destino\Probability;

/**
 * The chance of a hit per egg where eggs share parents that are not known for certain.
 *
 * A mixture: with weight w the parents are such that every egg is a hit with chance p, independently. Questions about
 * a clutch condition on the parents first, P(≥ 1 in n) = Σ w·[1 − (1 − p)ⁿ], which is less than the average chance
 * would promise (genetics.md, section 3).
 */
final readonly class ClutchChance
{
    /** Up to here the rungs of the ladder are checked with exact numbers; beyond, with doubles. */
    private const EXACT_EGGS = 400;

    private const MOST_EGGS = 1_000_000_000;

    /** @param list<array{Rational, Rational}> $cases weight and chance per egg; the weights sum to 1, chances distinct */
    private function __construct(private array $cases) {}

    /** @param iterable<array{Rational, Rational}> $cases weight and chance per egg */
    public static function ofCases(iterable $cases): self
    {
        $entries = [];
        foreach ($cases as [$weight, $chance]) {
            $entries[] = [$chance->toString(), $chance, $weight];
        }
        $merged = [];
        foreach (Distribution::ofWeighted($entries)->entries() as [$chance, $weight]) {
            $merged[] = [$weight, $chance];
        }

        return new self($merged);
    }

    public static function certain(Rational $chance): self
    {
        return new self([[Rational::one(), $chance]]);
    }

    /** @return list<array{Rational, Rational}> weight and chance per egg */
    public function cases(): array
    {
        return $this->cases;
    }

    /** P(one egg is a hit) = Σ w·p. */
    public function perEgg(): Rational
    {
        return $this->sum(static fn (Rational $chance): Rational => $chance);
    }

    /**
     * P(at least one hit in n eggs).
     *
     * @param int<0, max> $eggs
     */
    public function atLeastOne(int $eggs): Rational
    {
        return $this->sum(static fn (Rational $chance): Rational => $chance->complement()->power($eggs)->complement());
    }

    /**
     * P(at least two hits in n eggs).
     *
     * @param int<0, max> $eggs
     */
    public function atLeastTwo(int $eggs): Rational
    {
        return $this->sum(static fn (Rational $chance): Rational => (new Binomial($eggs, $chance))->atLeast(2));
    }

    /** Expected hits in n eggs. */
    public function expected(int $eggs): Rational
    {
        return $this->perEgg()->times(Rational::of($eggs));
    }

    /** The chance that no number of eggs can pass: the weight of the parents that can give a hit at all. */
    public function ceiling(): Rational
    {
        return $this->sum(static fn (Rational $chance): Rational => $chance->isZero() ? Rational::zero() : Rational::one());
    }

    public function isUncertain(): bool
    {
        return count($this->cases) > 1;
    }

    /**
     * The fewest eggs with P(≥ 1) of at least the given level.
     *
     * @return int<1, max>|null null where no number of eggs reaches it (or a thousand million do not)
     */
    public function eggsFor(Rational $level): ?int
    {
        $room = $this->ceiling()->compareTo($level);
        if ($room < 0 || ($room === 0 && ! $this->atLeastOne(1)->equals($level))) {
            return null; // with equality the ceiling is approached, and touched only by parents whose every egg hits
        }
        $enough = 1;
        while (! $this->reaches($level, $enough)) {
            $enough *= 2;
            if ($enough > self::MOST_EGGS) {
                return null;
            }
        }
        $few = intdiv($enough, 2);
        while ($enough - $few > 1) {
            $middle = max(1, intdiv($few + $enough, 2));
            if ($this->reaches($level, $middle)) {
                $enough = $middle;
            } else {
                $few = $middle;
            }
        }

        return $enough;
    }

    /** @param int<1, max> $eggs */
    private function reaches(Rational $level, int $eggs): bool
    {
        if ($eggs <= self::EXACT_EGGS) {
            return $this->atLeastOne($eggs)->compareTo($level) >= 0;
        }
        $chance = 0.0;
        foreach ($this->cases as [$weight, $each]) {
            // 1 − (1 − p)ⁿ without losing the digits of a small p.
            $chance += $weight->toFloat() * ($each->isOne() ? 1.0 : -expm1($eggs * log1p(-$each->toFloat())));
        }

        return $chance >= $level->toFloat();
    }

    /** @param callable(Rational): Rational $answer what a known chance per egg answers */
    private function sum(callable $answer): Rational
    {
        $sum = Rational::zero();
        foreach ($this->cases as [$weight, $chance]) {
            $sum = $sum->plus($weight->times($answer($chance)));
        }

        return $sum;
    }
}
