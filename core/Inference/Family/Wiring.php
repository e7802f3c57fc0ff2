<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\Factor;
use Destino\Probability\Rational;

/** Variables and factors of a graph as they are added, each variable by its name. */
final class Wiring
{
    /** @var array<int, int> values by variable */
    public array $sizes = [];

    /** @var list<Factor> */
    public array $factors = [];

    /** @var array<string, int> variable by name */
    private array $variables = [];

    public function known(string $name): ?int
    {
        return $this->variables[$name] ?? null;
    }

    public function variable(string $name, int $size): int
    {
        if (! isset($this->variables[$name])) {
            $this->variables[$name] = count($this->sizes);
            $this->sizes[] = $size;
        }

        return $this->variables[$name];
    }

    /**
     * @param list<string> $ids
     * @return list<int>
     */
    public function scope(int $i, array $ids): array
    {
        return array_values(array_filter(array_map(fn (string $id): ?int => $this->variables["{$i} {$id}"] ?? null, $ids), is_int(...)));
    }

    /**
     * A table that holds where a male is the sire, and says nothing where he is not.
     *
     * @param list<int> $scope
     * @param list<Rational> $table
     */
    public function under(?int $choice, int $option, array $scope, array $table): Factor
    {
        if ($choice === null) {
            return Factor::dense($scope, $table);
        }
        $whole = [];
        $one = Rational::one();
        for ($value = 0; $value < $this->sizes[$choice]; $value++) {
            array_push($whole, ...($value === $option ? $table : array_fill(0, count($table), $one)));
        }

        return Factor::dense([$choice, ...$scope], $whole);
    }
}
