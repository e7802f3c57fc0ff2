<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;
use Random\Randomizer;

/**
 * Variable elimination over a bucket tree: every variable in turn is summed out of the tables that hold it, and the table
 * that is left goes to the next variable of it; then the way back brings to each what the rest says (Dechter 1999). Tables
 * hold only what is possible, so that they are far smaller than the order alone tells.
 *
 * @template N
 */
final class Elimination
{
    /** @var array<int, Scope> variables of each bucket, its own first */
    private array $scopes = [];

    /** @var array<int, array<int, N>> product of the tables of a bucket and of what came from below */
    private array $products = [];

    /** @var array<int, int> the bucket that a bucket's table goes to */
    private array $parents = [];

    /** @var array<int, array<int, N>> what went up from a bucket */
    private array $up = [];

    private float $log = 0.0;

    /** Entries that all tables hold together, and those of the largest. */
    public int $entries = 0;

    public int $largest = 0;

    /** @var array<int, int> place in the order of elimination by variable */
    private readonly array $turn;

    /** @var Products<N> */
    private readonly Products $multiply;

    /**
     * @param array<int, int> $sizes number of values by variable
     * @param list<Factor> $factors
     * @param Arithmetic<N> $arithmetic
     * @param int $budget entries that all tables may hold together
     * @param list<array{Scope, array<int, N>}> $prepared further tables, as prepared() gives them for the same order
     */
    public function __construct(
        private readonly array $sizes,
        private readonly array $factors,
        private readonly Order $order,
        private readonly Arithmetic $arithmetic,
        private readonly int $budget = PHP_INT_MAX,
        private readonly array $prepared = [],
    ) {
        $this->turn = array_flip($order->variables);
        $this->multiply = new Products($sizes, $this->turn, $arithmetic);
    }

    /** @throws TooWide */
    public function run(): Marginals
    {
        if (! $this->collect()) {
            return new Marginals([], -INF);
        }

        $marginals = [];
        foreach ($this->distribute() as $variable => $own) {
            $marginals[$variable] = $this->arithmetic->shares($own, $this->sizes[$variable]) ?? [];
        }

        return new Marginals($marginals, $this->log);
    }

    /**
     * P(value | evidence) of every variable in doubles, for means of many answers.
     *
     * @return array<int, array<int, float>>|null by variable and value, those that are impossible left out; null where the
     *     evidence cannot be
     */
    public function floats(): ?array
    {
        if (! $this->collect()) {
            return null;
        }
        $floats = [];
        foreach ($this->distribute() as $variable => $own) {
            $weights = array_map($this->arithmetic->float(...), $own);
            $sum = array_sum($weights);
            foreach ($weights as $value => $weight) {
                $floats[$variable][$value] = $weight / $sum;
            }
        }

        return $floats;
    }

    /**
     * P(values of two variables | evidence), the second running fastest, after run(); some table must hold both.
     *
     * @return list<Rational> empty where no table holds both
     */
    public function jointOf(int $one, int $other): array
    {
        foreach ($this->holding([$one, $other]) as $variable) {
            $scope = $this->scopes[$variable];
            if (isset($scope->strides[$one], $scope->strides[$other])) {
                $places = $scope->places(array_keys($this->products[$variable]), [$one => $this->sizes[$other], $other => 1]);

                return $this->arithmetic->shares(
                    $this->arithmetic->sums($this->products[$variable], $places), $this->sizes[$one] * $this->sizes[$other],
                )
                    ?? [];
            }
        }

        return [];
    }

    /**
     * P(values of some variables and evidence), up to a factor, after run() or floats(); some table must hold them all.
     *
     * @param list<int> $variables
     * @return array<int, N> by place, the last variable running fastest
     */
    public function tableOf(array $variables): array
    {
        $wanted = new Scope($variables, $this->sizes);
        foreach ($variables === [] ? [] : $this->holding($variables) as $variable) {
            $scope = $this->scopes[$variable];
            if (array_diff($variables, $scope->variables) === []) {
                return $this->arithmetic->sums(
                    $this->products[$variable], $scope->places(array_keys($this->products[$variable]), $wanted->strides),
                );
            }
        }

        return [];
    }

    /**
     * Buckets that may hold some variables together: their own and those that were emptied before.
     *
     * @param list<int> $variables
     * @return list<int>
     */
    private function holding(array $variables): array
    {
        $last = min([count($this->turn), ...array_map(fn (int $variable): int => $this->turn[$variable], $variables)]);

        return array_slice($this->order->variables, 0, $last + 1);
    }

    /** @return list<Rational> P(value of a variable | evidence), after run() */
    public function marginalOf(int $variable): array
    {
        $own = $this->arithmetic->ofSlowest($this->products[$variable], $this->scopes[$variable]->strides[$variable]);

        return $this->arithmetic->shares($own, $this->sizes[$variable]) ?? [];
    }

    /**
     * Only the natural logarithm of P(evidence).
     *
     * @throws TooWide
     */
    public function logEvidence(): float
    {
        return $this->collect() ? $this->log : -INF;
    }

    /** The natural logarithm of P(evidence), after run() or floats(). */
    public function log(): float
    {
        return $this->log;
    }

    /**
     * Values of all variables drawn together from P(values | evidence), after collect() has been done by run() or logEvidence().
     *
     * @return array<int, int> value by variable
     */
    public function draw(Randomizer $chance): array
    {
        $values = [];
        foreach (array_reverse($this->order->variables) as $variable) {
            $scope = $this->scopes[$variable];
            $rest = 0;
            foreach (array_slice($scope->variables, 1) as $other) {
                $rest += $values[$other] * $scope->strides[$other];
            }
            $weights = [];
            foreach (range(0, $this->sizes[$variable] - 1) as $value) {
                $entry = $this->products[$variable][$rest + $value * $scope->strides[$variable]] ?? null;
                $weights[] = $entry === null ? 0.0 : $this->arithmetic->float($entry);
            }
            $values[$variable] = Draw::from($weights, $chance);
        }

        return $values;
    }

    /** @return list<array{Scope, array<int, N>}> the tables that hold a variable, made ready once for many runs over the same order */
    public function prepared(): array
    {
        $prepared = [];
        foreach ($this->factors as $factor) {
            if ($factor->scope !== []) {
                $prepared[] = $this->multiply->inOrder($factor->scope, array_map($this->arithmetic->of(...), $factor->table));
            }
        }

        return $prepared;
    }

    /** @return array<int, list<array{Scope, array<int, N>}>> tables by the variable that goes first */
    private function buckets(): array
    {
        $buckets = array_fill_keys($this->order->variables, []);
        foreach ($this->prepared as [$scope, $table]) {
            $buckets[$scope->variables[0]][] = [$scope, $table];
        }
        foreach ($this->factors as $factor) {
            $table = array_map($this->arithmetic->of(...), $factor->table);
            if ($factor->scope === []) {
                [$scaled, $log] = $this->arithmetic->scaled($table);
                $this->log += $table === [] ? $log : $log + log($this->arithmetic->float($scaled[0]));

                continue;
            }
            [$scope, $table] = $this->multiply->inOrder($factor->scope, $table);
            $buckets[$scope->variables[0]][] = [$scope, $table];
        }

        return $buckets;
    }

    private function collect(): bool
    {
        $buckets = $this->buckets();
        foreach ($this->order->variables as $variable) {
            $tables = $buckets[$variable];
            unset($buckets[$variable]);
            [$scope, $product] = $this->multiply->of($variable, $tables, max(0, $this->budget - $this->entries));
            [$product, $log] = $this->arithmetic->scaled($product);
            $this->log += $log;
            if ($log === -INF) {
                return false;
            }
            $this->spend(count($product));
            $this->scopes[$variable] = $scope;
            $this->products[$variable] = $product;
            $rest = new Scope(array_slice($scope->variables, 1), $this->sizes);
            $up = $this->arithmetic->summedOut($product, $scope->strides[$variable]);
            if ($rest->variables === []) {
                $this->log += log($this->arithmetic->float($up[0]));

                continue;
            }
            $this->parents[$variable] = $rest->variables[0];
            $this->up[$variable] = $up;
            $buckets[$rest->variables[0]][] = [$rest, $up];
        }

        return $this->log > -INF;
    }

    /** @return array<int, array<int, N>> weight of each value, by variable */
    private function distribute(): array
    {
        $marginals = [];
        foreach (array_reverse($this->order->variables) as $variable) {
            $scope = $this->scopes[$variable];
            $parent = $this->parents[$variable] ?? null;
            if ($parent !== null) {
                $rest = new Scope(array_slice($scope->variables, 1), $this->sizes);
                $all = $this->arithmetic->sums(
                    $this->products[$parent],
                    $this->scopes[$parent]->places(array_keys($this->products[$parent]), $rest->strides),
                );
                $down = $this->arithmetic->over($all, $this->up[$variable]);
                [$this->products[$variable]] = $this->arithmetic->scaled(
                    $this->arithmetic->weighed($this->products[$variable], $scope->strides[$variable], $down),
                );
            }
            $marginals[$variable] = $this->arithmetic->ofSlowest($this->products[$variable], $scope->strides[$variable]);
        }

        return $marginals;
    }

    private function spend(int $entries): void
    {
        $this->entries += $entries;
        $this->largest = max($this->largest, $entries);
        if ($this->entries > $this->budget) {
            throw TooWide::beyond($this->budget);
        }
    }
}
