<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/** A table over some variables: a number above 0 for every combination of their values that is possible. */
final readonly class Factor
{
    /**
     * @param list<int> $scope numbers of the variables, each once
     * @param array<int, Rational|float> $table by place, the last variable running fastest; a place that is left out is 0
     */
    public function __construct(public array $scope, public array $table) {}

    /**
     * A table of a number for every place, with those that are 0 left out.
     *
     * @param list<int> $scope
     * @param list<Rational> $table
     */
    public static function dense(array $scope, array $table): self
    {
        return new self($scope, array_filter($table, static fn (Rational $entry): bool => ! $entry->isZero()));
    }

    /** The same in doubles. */
    public function inDoubles(): self
    {
        return new self(
            $this->scope,
            array_map(static fn (Rational|float $entry): float => is_float($entry) ? $entry : $entry->toFloat(), $this->table),
        );
    }
}
