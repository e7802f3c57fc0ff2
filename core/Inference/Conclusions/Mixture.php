<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

use Destino\Inference\Family\Solved;
use Destino\Probability\Rational;

/** What is believed of members while several explanations are open: each in proportion to its odds. */
final class Mixture
{
    /** @var array<int, array<string, array<int, Rational>>> weighted sums by space, member and number of the genotype */
    private array $sums = [];

    private Rational $total;

    public bool $isExact = true;

    public float $error = 0.0;

    /** @var array<string, float> by member */
    public array $errors = [];

    public function __construct()
    {
        $this->total = Rational::zero();
    }

    public function isEmpty(): bool
    {
        return $this->total->isZero();
    }

    /** What cannot be adds nothing. */
    public function add(Solved $solved, Rational $weight): void
    {
        if (! $solved->isPossible() || $weight->isZero()) {
            return;
        }
        $this->total = $this->total->plus($weight);
        $this->isExact = $this->isExact && $solved->isExact;
        $this->error = max($this->error, $solved->error);
        foreach ($solved->errors as $id => $error) {
            $this->errors[$id] = max($error, $this->errors[$id] ?? 0.0);
        }
        foreach ($solved->of as $i => $members) {
            foreach ($members as $id => $chances) {
                foreach ($chances as $number => $chance) {
                    $share = $chance->times($weight);
                    $this->sums[$i][$id][$number] = isset($this->sums[$i][$id][$number])
                        ? $this->sums[$i][$id][$number]->plus($share)
                        : $share;
                }
            }
        }
    }

    /** @return array<string, array<int, Rational>> P(genotype) by member, at a space */
    public function of(int $i): array
    {
        return array_map(
            fn (array $sums): array => array_map(fn (Rational $sum): Rational => $sum->dividedBy($this->total), $sums),
            $this->sums[$i] ?? [],
        );
    }
}
