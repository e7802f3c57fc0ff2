<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/**
 * Products of tables, each over its variables in the order of elimination.
 *
 * @template N
 */
final readonly class Products
{
    /**
     * @param array<int, int> $sizes number of values by variable
     * @param array<int, int> $turn place in the order of elimination by variable
     * @param Arithmetic<N> $arithmetic
     */
    public function __construct(private array $sizes, private array $turn, private Arithmetic $arithmetic) {}

    /**
     * A table with its variables in the order of elimination.
     *
     * @param non-empty-list<int> $variables
     * @param array<int, N> $table
     * @return array{Scope, array<int, N>}
     */
    public function inOrder(array $variables, array $table): array
    {
        $sorted = $variables;
        usort($sorted, fn (int $a, int $b): int => $this->turn[$a] <=> $this->turn[$b]);
        $scope = new Scope($sorted, $this->sizes);
        if ($sorted === $variables) {
            return [$scope, $table];
        }
        $places = (new Scope($variables, $this->sizes))->places(array_keys($table), $scope->strides);

        return [$scope, array_combine($places, array_values($table))];
    }

    /**
     * @param list<array{Scope, array<int, N>}> $tables that hold a variable
     * @param int $left entries that the product may hold
     * @return array{Scope, array<int, N>} their product
     *
     * @throws TooWide
     */
    public function of(int $variable, array $tables, int $left): array
    {
        usort(
            $tables,
            static fn (array $a, array $b): int => [count($b[0]->variables), count($a[1])] <=> [count($a[0]->variables), count($b[1])],
        );
        [$scope, $product] = array_shift($tables)
        ?? [new Scope([$variable], $this->sizes), array_fill(0, $this->sizes[$variable], $this->arithmetic->of(Rational::one()))];
        while ($tables !== []) {
            $next = $this->closest($scope, $tables);
            [$other, $table] = $tables[$next];
            array_splice($tables, $next, 1);
            $keys = array_keys($product);
            if (array_diff_key($other->strides, $scope->strides) === []) {
                $product = $this->arithmetic->filtered($product, $scope->places($keys, $other->strides), $table);

                continue;
            }
            [$scope, $product] = $this->join($scope, $product, $other, $table, $left);
        }

        return [$scope, $product];
    }

    /**
     * The table that adds the fewest places: one that only excludes comes first.
     *
     * @param non-empty-list<array{Scope, array<int, N>}> $tables
     */
    private function closest(Scope $scope, array $tables): int
    {
        $best = 0;
        $least = INF;
        foreach ($tables as $i => [$other]) {
            $adds = 1.0;
            foreach (array_diff_key($other->strides, $scope->strides) as $extra => $_) {
                $adds *= $this->sizes[$extra];
            }
            if ($adds < $least) {
                [$best, $least] = [$i, $adds];
            }
        }

        return $best;
    }

    /**
     * @param array<int, N> $product
     * @param array<int, N> $table
     * @return array{Scope, array<int, N>}
     */
    private function join(Scope $scope, array $product, Scope $other, array $table, int $left): array
    {
        $variables = array_keys($scope->strides + $other->strides);
        usort($variables, fn (int $a, int $b): int => $this->turn[$a] <=> $this->turn[$b]);
        $union = new Scope($variables, $this->sizes);
        if (! is_int($union->size)) {
            throw TooWide::beyond($left);
        }
        $shared = (
            new Scope(
                array_values(array_filter($variables, static fn (int $one): bool => isset($scope->strides[$one], $other->strides[$one]))),
                $this->sizes,
            )
        )->strides;
        $keys = array_keys($table);
        $of = $other->places($keys, $shared);
        $adds = $other->places($keys, array_diff_key($union->strides, $scope->strides));
        $index = [];
        foreach ($keys as $i => $key) {
            $index[$of[$i]][] = [$adds[$i], $table[$key]];
        }
        $own = array_keys($product);
        $common = $scope->places($own, $shared);
        $entries = 0;
        foreach ($common as $place) {
            $entries += count($index[$place] ?? []);
        }
        if ($entries > $left) {
            throw TooWide::beyond($left);
        }

        return [
            $union,
            $this->arithmetic->joined(
                $product, $scope->places($own, array_intersect_key($union->strides, $scope->strides)), $common, $index,
            ),
        ];
    }
}
