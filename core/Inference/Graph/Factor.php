<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/** A table over some variables: a number for every combination of their values, the last variable running fastest. */
final readonly class Factor
{
    /**
     * @param list<int> $scope numbers of the variables, each once
     * @param list<Rational> $table
     */
    public function __construct(public array $scope, public array $table) {}
}
