<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Destino\Probability\Rational;

/**
 * Numbers that the tables of a factor graph hold, with the loops that elimination is made of. A table holds only what is
 * possible: a number above 0 by its place, and nothing at every other place.
 *
 * @template N
 */
interface Arithmetic
{
    /** @return N */
    public function of(Rational|float $number): mixed;

    /**
     * @param array<int, N> $table
     * @param list<int> $places place in the other table of each entry, in the order of the entries
     * @param array<int, N> $other
     * @return array<int, N> the products; entries that the other table excludes are left out
     */
    public function filtered(array $table, array $places, array $other): array;

    /**
     * @param array<int, N> $table
     * @param list<int> $bases place in the result of each entry
     * @param list<int> $common place of what each entry shares with the other table
     * @param array<int, list<array{int, N}>> $index the other table: what it adds to the place, and its number, by what is shared
     * @return array<int, N> the products
     */
    public function joined(array $table, array $bases, array $common, array $index): array;

    /**
     * @param array<int, N> $table
     * @param list<int> $places place in the result of each entry
     * @return array<int, N> the entries that fall on each place, added up
     */
    public function sums(array $table, array $places): array;

    /**
     * Sums out the variable that runs slowest.
     *
     * @param array<int, N> $table
     * @param int $size places of all other variables together
     * @return array<int, N> by the place of these
     */
    public function summedOut(array $table, int $size): array;

    /**
     * Sums out all variables but the one that runs slowest.
     *
     * @param array<int, N> $table
     * @param int $size places of all other variables together
     * @return array<int, N> by value of that one
     */
    public function ofSlowest(array $table, int $size): array;

    /**
     * @param array<int, N> $table
     * @param int $size places of all variables but the one that runs slowest
     * @param array<int, N> $rest a table over these
     * @return array<int, N> the products; entries that the other table excludes are left out
     */
    public function weighed(array $table, int $size, array $rest): array;

    /**
     * @param array<int, N> $table
     * @param array<int, N> $by
     * @return array<int, N> table[i] / by[i], where both are there
     */
    public function over(array $table, array $by): array;

    /**
     * Keeps a table in a comfortable range.
     *
     * @param array<int, N> $table
     * @return array{array<int, N>, float} the table divided by a number, and the natural logarithm of that number; minus
     *     infinity where nothing is possible
     */
    public function scaled(array $table): array;

    /**
     * @param array<int, N> $table
     * @return list<Rational>|null shares of the sum, for the places from 0 to size - 1; null where nothing is possible
     */
    public function shares(array $table, int $size): ?array;

    /** @param N $number */
    public function float(mixed $number): float;
}
