<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/** Means of P(value) over parts of several chains, and how far they may be off. */
final class ChainMeans
{
    /**
     * How many of the largest standard error are stated: what held in 95 of 100 trials over some hundred probabilities at once
     * (the bench shows it).
     */
    public const FACTOR = 3.2;

    /** @var array<int, array<int, array<int, float>>> sums by variable, part and value */
    private array $sums = [];

    /** @var array<int, int> by part */
    private array $counts;

    /** @param array<int, int> $sizes */
    public function __construct(private readonly array $sizes, private readonly int $parts)
    {
        foreach ($sizes as $variable => $size) {
            $this->sums[$variable] = array_fill(0, $parts, array_fill(0, $size, 0.0));
        }
        $this->counts = array_fill(0, $parts, 0);
    }

    /**
     * @param array<int, array<int, float>> $shares P(value) of variables that are exact in this draw
     * @param array<int, int> $values of the others
     */
    public function add(int $part, array $shares, array $values): void
    {
        $this->counts[$part]++;
        foreach ($this->sizes as $variable => $_) {
            if (isset($shares[$variable])) {
                foreach ($shares[$variable] as $value => $share) {
                    $this->sums[$variable][$part][$value] += $share;
                }
            } else {
                $this->sums[$variable][$part][$values[$variable]] += 1.0;
            }
        }
    }

    /** @return array<int, list<Rational>> */
    public function shares(): array
    {
        $shares = [];
        foreach ($this->sums as $variable => $parts) {
            $shares[$variable] = (new Doubles)->shares($this->means($parts)[0], $this->sizes[$variable]) ?? [];
        }

        return $shares;
    }

    /** What the largest error stays below in 95 of 100 trials. */
    public function error(): float
    {
        return max([0.0, ...$this->errors()]);
    }

    /** @return array<int, float> by variable; that all stay below theirs at once holds in 95 of 100 trials */
    public function errors(): array
    {
        return array_map(fn (array $parts): float => min(1.0, self::FACTOR * max([0.0, ...$this->means($parts)[1]])), $this->sums);
    }

    /**
     * @param array<int, array<int, float>> $parts
     * @return array{list<float>, list<float>} mean and standard error by value
     */
    private function means(array $parts): array
    {
        $means = $errors = [];
        foreach (array_keys($parts[0]) as $value) {
            $own = [];
            foreach ($parts as $part => $sums) {
                if ($this->counts[$part] > 0) {
                    $own[] = $sums[$value] / $this->counts[$part];
                }
            }
            $count = max(1, count($own));
            $mean = array_sum($own) / $count;
            $spread = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $own));
            $means[] = $mean;
            $errors[] = $count < 2 ? 1.0 : sqrt($spread / ($count * ($count - 1)));
        }

        return [$means, $errors];
    }
}
