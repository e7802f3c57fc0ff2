<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/**
 * Numbers that the tables of a factor graph hold, with the three loops that elimination is made of.
 *
 * @template N
 */
interface Arithmetic
{
    /** @return N */
    public function of(Rational $number): mixed;

    /**
     * @param array<int, N> $table
     * @param array<int, N> $other
     * @param list<int> $offsets place in the other table of each place of this one
     * @return array<int, N> table[i] · other[offsets[i]]
     */
    public function times(array $table, array $other, array $offsets): array;

    /**
     * @param array<int, N> $table
     * @param array<int, N> $other
     * @param list<int> $offsets
     * @return array<int, N> table[i] / other[offsets[i]], 0 where both are 0
     */
    public function over(array $table, array $other, array $offsets): array;

    /**
     * @param array<int, N> $table
     * @param list<int> $offsets place in the result of each place of the table
     * @return array<int, N> the entries that fall on each place, added up
     */
    public function sums(array $table, array $offsets, int $size): array;

    /**
     * Keeps a table in a comfortable range.
     *
     * @param array<int, N> $table
     * @return array{array<int, N>, float} the table divided by a number, and the natural logarithm of that number; minus infinity where all is 0
     */
    public function scaled(array $table): array;

    /**
     * @param array<int, N> $table
     * @return list<Rational>|null shares of the sum; null where all is 0
     */
    public function shares(array $table): ?array;
}
