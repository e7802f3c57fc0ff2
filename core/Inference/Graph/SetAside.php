<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

/** A factor graph while the values of some variables are set aside: cut by them, what stays as it is made ready once. */
final readonly class SetAside
{
    /** @param array<int, int> $sizes of all variables */
    public function __construct(private array $sizes) {}

    /**
     * What stays as it is while some variables are set aside is made ready once.
     *
     * @param array{Order, list<int>} $of order and variables set aside
     * @param list<Factor> $factors
     * @return array{list<Factor>, list<array{Scope, array<int, float>}>} the tables that a draw has to cut, and the others
     */
    public function ready(array $of, array $factors): array
    {
        [$order, $aside] = $of;
        $cut = array_filter(
            $factors, static fn (Factor $factor): bool => $factor->scope === [] || array_intersect($factor->scope, $aside) !== [],
        );

        return [
            array_values($cut),
            (
                new Elimination(
                    array_diff_key($this->sizes, array_flip($aside)), array_values(array_diff_key($factors, $cut)), $order,
                    new Doubles,
                )
            )->prepared(),
        ];
    }

    /**
     * @param array<int, int> $values
     * @param list<Factor> $factors
     * @param list<array{Scope, array<int, float>}> $prepared
     * @return Elimination<float>
     */
    public function given(array $values, Order $order, array $factors, array $prepared): Elimination
    {
        $sizes = array_diff_key($this->sizes, $values);

        return new Elimination(
            $sizes, array_map(fn (Factor $factor): Factor => $this->sliced($factor, $values), $factors), $order, new Doubles,
            PHP_INT_MAX, $prepared,
        );
    }

    /** @param array<int, int> $values */
    private function sliced(Factor $factor, array $values): Factor
    {
        if (array_intersect_key(array_flip($factor->scope), $values) === []) {
            return $factor;
        }
        $scope = new Scope($factor->scope, $this->sizes);
        $free = array_values(array_filter($factor->scope, static fn (int $variable): bool => ! isset($values[$variable])));
        $keys = array_keys($factor->table);
        $fixed = $scope->places($keys, array_intersect_key($scope->strides, $values));
        $places = $scope->places($keys, (new Scope($free, $this->sizes))->strides);
        $wanted = 0;
        foreach ($scope->strides as $variable => $stride) {
            $wanted += isset($values[$variable]) ? $values[$variable] * $stride : 0;
        }
        $table = [];
        foreach ($keys as $i => $key) {
            if ($fixed[$i] === $wanted) {
                $table[$places[$i]] = $factor->table[$key];
            }
        }

        return new Factor($free, $table);
    }
}
