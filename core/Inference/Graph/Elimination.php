<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

/**
 * Variable elimination over a bucket tree: every variable in turn is summed out of the tables that hold it, and the table
 * that is left goes to the next variable of it; then the way back brings to each what the rest says (Dechter 1999).
 *
 * @template N
 */
final class Elimination
{
    /** @var array<int, list<int>> variables of each bucket, its own first */
    private array $scopes = [];

    /** @var array<int, array<int, N>> product of the tables of a bucket and of what came from below */
    private array $products = [];

    /** @var array<int, int> the bucket that a bucket's table goes to */
    private array $parents = [];

    /** @var array<int, array<int, N>> what went up from a bucket */
    private array $up = [];

    private float $log = 0.0;

    /**
     * @param array<int, int> $sizes number of values by variable
     * @param list<Factor> $factors
     * @param Arithmetic<N> $arithmetic
     */
    public function __construct(private readonly array $sizes, private readonly array $factors, private readonly Order $order, private readonly Arithmetic $arithmetic) {}

    public function run(): Marginals
    {
        if (! $this->collect()) {
            return new Marginals([], -INF);
        }

        return new Marginals($this->distribute(), $this->log);
    }

    /**
     * P(values of two variables | evidence), the second running fastest, after run(); the order must have been made with
     * a scope that holds both.
     *
     * @return list<\Destino\Probability\Rational>
     */
    public function jointOf(int $one, int $other): array
    {
        foreach ($this->scopes as $variable => $scope) {
            if (in_array($one, $scope, true) && in_array($other, $scope, true)) {
                return $this->arithmetic->shares($this->arithmetic->sums($this->products[$variable], $this->offsets($scope, [$one, $other]), $this->sizes[$one] * $this->sizes[$other])) ?? [];
            }
        }

        return [];
    }

    /** Only the natural logarithm of P(evidence). */
    public function logEvidence(): float
    {
        return $this->collect() ? $this->log : -INF;
    }

    private function collect(): bool
    {
        $turn = array_flip($this->order->variables);
        /** @var array<int, list<array{list<int>, array<int, N>}>> $buckets */
        $buckets = array_fill_keys($this->order->variables, []);
        foreach ($this->factors as $factor) {
            $table = array_map($this->arithmetic->of(...), $factor->table);
            if ($factor->scope === []) {
                [, $log] = $this->arithmetic->scaled($table);
                $this->log += $log;

                continue;
            }
            $first = $factor->scope[0];
            foreach ($factor->scope as $variable) {
                $first = $turn[$variable] < $turn[$first] ? $variable : $first;
            }
            $buckets[$first][] = [$factor->scope, $table];
        }
        foreach ($this->order->variables as $i => $variable) {
            $scope = [$variable, ...$this->order->cliques[$i]];
            $product = $this->product($scope, $buckets[$variable]);
            $buckets[$variable] = [];
            [$product, $log] = $this->arithmetic->scaled($product);
            $this->log += $log;
            if ($log === -INF) {
                return false;
            }
            $this->scopes[$variable] = $scope;
            $this->products[$variable] = $product;
            $rest = $this->order->cliques[$i];
            $up = $this->arithmetic->sums($product, $this->offsets($scope, $rest), $this->sizeOf($rest));
            if ($rest === []) {
                [, $log] = $this->arithmetic->scaled($up);
                $this->log += $log;

                continue;
            }
            $next = $rest[0];
            foreach ($rest as $other) {
                $next = $turn[$other] < $turn[$next] ? $other : $next;
            }
            $this->parents[$variable] = $next;
            $this->up[$variable] = $up;
            $buckets[$next][] = [$rest, $up];
        }

        return $this->log > -INF;
    }

    /** @return array<int, list<\Destino\Probability\Rational>> */
    private function distribute(): array
    {
        $marginals = [];
        foreach (array_reverse($this->order->variables) as $variable) {
            $scope = $this->scopes[$variable];
            $parent = $this->parents[$variable] ?? null;
            if ($parent !== null) {
                $rest = array_slice($scope, 1);
                $all = $this->arithmetic->sums($this->products[$parent], $this->offsets($this->scopes[$parent], $rest), $this->sizeOf($rest));
                $down = $this->arithmetic->over($all, $this->up[$variable], range(0, count($all) - 1));
                [$this->products[$variable]] = $this->arithmetic->scaled($this->arithmetic->times($this->products[$variable], $down, $this->offsets($scope, $rest)));
            }
            $marginals[$variable] = $this->arithmetic->shares($this->arithmetic->sums($this->products[$variable], $this->offsets($scope, [$variable]), $this->sizes[$variable])) ?? [];
        }

        return $marginals;
    }

    /**
     * @param list<int> $scope
     * @param list<array{list<int>, array<int, N>}> $tables
     * @return array<int, N>
     */
    private function product(array $scope, array $tables): array
    {
        usort($tables, static fn (array $a, array $b): int => count($b[1]) <=> count($a[1]));
        $product = array_fill(0, $this->sizeOf($scope), $this->arithmetic->of(\Destino\Probability\Rational::one()));
        foreach ($tables as [$own, $table]) {
            $product = $this->arithmetic->times($product, $table, $this->offsets($scope, $own));
        }

        return $product;
    }

    /**
     * The place in a table over some of the variables, for each place of a table over all of them.
     *
     * @param list<int> $scope
     * @param list<int> $part
     * @return list<int>
     */
    private function offsets(array $scope, array $part): array
    {
        $stride = [];
        $step = 1;
        foreach (array_reverse($part) as $variable) {
            $stride[$variable] = $step;
            $step *= $this->sizes[$variable];
        }
        $offsets = [0];
        foreach ($scope as $variable) {
            $step = $stride[$variable] ?? 0;
            $size = $this->sizes[$variable];
            $longer = [];
            foreach ($offsets as $offset) {
                for ($value = 0; $value < $size; $value++) {
                    $longer[] = $offset + $value * $step;
                }
            }
            $offsets = $longer;
        }

        return $offsets;
    }

    /** @param list<int> $scope */
    private function sizeOf(array $scope): int
    {
        $size = 1;
        foreach ($scope as $variable) {
            $size *= $this->sizes[$variable];
        }

        return $size;
    }
}
