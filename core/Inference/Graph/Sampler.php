<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * For graphs that are too wide to be exact: some variables are fixed so that the rest is narrow enough, and drawn anew in
 * turn from what the rest, worked out exactly, says of them (Gibbs sampling with a cutset, after Bidyuk and Dechter 2007).
 * Answers are means of exact answers; their error is judged from the means of ten batches.
 */
final class Sampler
{
    /** Entries of the largest table once the cutset is fixed. */
    private const WIDTH = 4_000;

    /** Entries that all visits together may touch: some seconds. */
    private const WORK = 4_000_000;

    /** Visits of fixed variables at the least. */
    private const LEAST = 40;

    /** What a variable costs each time, in entries. */
    private const EACH = 400;

    private const BATCHES = 10;

    private readonly Randomizer $chance;

    /** Entries of all tables once the cutset is fixed. */
    private float $size = 1.0;

    /**
     * @param array<int, int> $sizes
     * @param list<Factor> $factors
     */
    public function __construct(private readonly array $sizes, private readonly array $factors, private readonly int $sweeps = 60, int $seed = 1, private readonly int $width = self::WIDTH)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    public function run(): Marginals
    {
        $cutset = $this->cutset();
        $values = $this->start($cutset);
        if ($values === null) {
            return new Marginals([], -INF, false);
        }
        $work = max(1.0, $this->size + self::EACH * count($this->sizes));
        $visits = (int) max(self::LEAST, min($this->sweeps * count($cutset), self::WORK / $work));
        $burnIn = intdiv($visits, 5);
        $sums = [];
        foreach (array_keys($this->sizes) as $variable) {
            $sums[$variable] = array_fill(0, self::BATCHES, array_fill(0, $this->sizes[$variable], 0.0));
        }
        $counts = array_fill(0, self::BATCHES, 0);
        for ($visit = -$burnIn; $visit < $visits; $visit++) {
            $variable = $cutset[($visit + $burnIn) % count($cutset)];
            $others = $values;
            unset($others[$variable]);
            $marginals = $this->given($others);
            $values[$variable] = $this->draw($marginals->of[$variable]);
            if ($visit < 0) {
                continue;
            }
            $batch = intdiv($visit * self::BATCHES, $visits);
            $counts[$batch]++;
            foreach (array_keys($this->sizes) as $one) {
                foreach (isset($others[$one]) ? [$others[$one] => Rational::one()] : $marginals->of[$one] as $value => $share) {
                    $sums[$one][$batch][$value] += $share->toFloat();
                }
            }
        }

        return $this->means($sums, $counts);
    }

    /** @return list<int> variables that leave a narrow graph once they are fixed: always one of the widest table */
    private function cutset(): array
    {
        $fixed = [];
        do {
            $sizes = $this->sizes;
            foreach ($fixed as $variable) {
                $sizes[$variable] = 1;
            }
            $scopes = array_map(static fn (Factor $factor): array => array_values(array_diff($factor->scope, $fixed)), $this->factors);
            $order = Order::of(array_diff_key($sizes, array_flip($fixed)), $scopes);
            $this->size = $order->size;
            if ($order->largest <= $this->width) {
                break;
            }
            $seen = [];
            foreach ($order->variables as $i => $variable) {
                $weight = array_product(array_map(static fn (int $one): int => $sizes[$one], [$variable, ...$order->cliques[$i]]));
                foreach ($weight > $this->width ? [$variable, ...$order->cliques[$i]] : [] as $one) {
                    $seen[$one] = ($seen[$one] ?? 0) + log($sizes[$one]);
                }
            }
            arsort($seen);
            $fixed[] = (int) array_key_first($seen);
        } while ($seen !== []);

        return $fixed;
    }

    /**
     * Values that are possible together: each variable drawn from the tables that hold only earlier ones beside it, as
     * young from their parents, until nothing is excluded.
     *
     * @param list<int> $cutset
     * @return array<int, int>|null null where none were found
     */
    private function start(array $cutset): ?array
    {
        $last = [];
        foreach ($this->factors as $factor) {
            if ($factor->scope !== []) {
                $last[max($factor->scope)][] = $factor;
            }
        }
        for ($try = 0; $try < 500; $try++) {
            $values = [];
            foreach ($this->sizes as $variable => $size) {
                $weights = array_fill(0, $size, 1.0);
                foreach ($last[$variable] ?? [] as $factor) {
                    for ($value = 0; $value < $size; $value++) {
                        $weights[$value] *= $this->entry($factor, [$variable => $value] + $values);
                    }
                }
                $sum = array_sum($weights);
                if ($sum <= 0.0) {
                    continue 2;
                }
                $draw = $sum * $this->chance->getInt(0, 0x7FFFFFFE) / 0x7FFFFFFF;
                $values[$variable] = $size - 1;
                foreach ($weights as $value => $weight) {
                    $draw -= $weight;
                    if ($draw < 0.0) {
                        $values[$variable] = $value;
                        break;
                    }
                }
            }

            return array_intersect_key($values, array_flip($cutset));
        }

        return null;
    }

    /** @param array<int, int> $values */
    private function entry(Factor $factor, array $values): float
    {
        $place = 0;
        foreach ($factor->scope as $variable) {
            $place = $place * $this->sizes[$variable] + $values[$variable];
        }

        return $factor->table[$place]->toFloat();
    }

    /** @param array<int, int> $values */
    private function given(array $values): Marginals
    {
        $sizes = array_diff_key($this->sizes, $values);
        $factors = array_map(fn (Factor $factor): Factor => $this->sliced($factor, $values), $this->factors);

        return (new Elimination($sizes, $factors, Order::of($sizes, array_map(static fn (Factor $factor): array => $factor->scope, $factors)), new Doubles))->run();
    }

    /** @param array<int, int> $values */
    private function sliced(Factor $factor, array $values): Factor
    {
        if (array_intersect_key(array_flip($factor->scope), $values) === []) {
            return $factor;
        }
        $places = [0];
        $step = count($factor->table);
        foreach ($factor->scope as $variable) {
            $step = intdiv($step, $this->sizes[$variable]);
            $longer = [];
            foreach ($places as $place) {
                foreach (isset($values[$variable]) ? [$values[$variable]] : range(0, $this->sizes[$variable] - 1) as $value) {
                    $longer[] = $place + $value * $step;
                }
            }
            $places = $longer;
        }

        return new Factor(array_values(array_filter($factor->scope, static fn (int $variable): bool => ! isset($values[$variable]))), array_map(static fn (int $place): Rational => $factor->table[$place], $places));
    }

    /** @param list<Rational> $shares */
    private function draw(array $shares): int
    {
        $draw = $this->chance->getInt(0, 0x7FFFFFFE) / 0x7FFFFFFF;
        foreach ($shares as $value => $share) {
            $draw -= $share->toFloat();
            if ($draw < 0) {
                return $value;
            }
        }

        return count($shares) - 1;
    }

    /**
     * @param array<int, array<int, array<int, float>>> $sums by variable, batch and value
     * @param array<int, int> $counts by batch
     */
    private function means(array $sums, array $counts): Marginals
    {
        $of = [];
        $error = 0.0;
        foreach ($sums as $variable => $batches) {
            $mean = [];
            for ($value = 0; $value < $this->sizes[$variable]; $value++) {
                $means = [];
                foreach ($batches as $batch => $values) {
                    if ($counts[$batch] > 0) {
                        $means[] = $values[$value] / $counts[$batch];
                    }
                }
                $mean[$value] = array_sum($means) / max(1, count($means));
                $spread = array_sum(array_map(static fn (float $one): float => ($one - $mean[$value]) ** 2, $means));
                $error = max($error, sqrt($spread / max(1, count($means) * (count($means) - 1))));
            }
            $of[$variable] = (new Doubles)->shares($mean) ?? [];
        }

        return new Marginals($of, 0.0, false, $error);
    }
}
