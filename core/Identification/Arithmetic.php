<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Probability\Rational;

/**
 * The sums of the posterior, in numbers of one kind: floats, or exact fractions where they stay short.
 *
 * @template T
 */
interface Arithmetic
{
    /** @return T */
    public function of(Rational $number): mixed;

    /** @return T */
    public function zero(): mixed;

    /**
     * @param T $a
     * @param T $b
     * @return T
     */
    public function plus(mixed $a, mixed $b): mixed;

    /**
     * @param T $a
     * @param T $b
     * @return T
     */
    public function times(mixed $a, mixed $b): mixed;

    /**
     * @param T $a
     * @param T $b
     * @return T
     */
    public function over(mixed $a, mixed $b): mixed;

    /** @param T $a */
    public function isZero(mixed $a): bool;

    /**
     * Σ chances[i] · evidence[i].
     *
     * @param array<int, T> $chances
     * @param array<int, T> $evidence
     * @return T
     */
    public function dot(array $chances, array $evidence): mixed;

    /**
     * Adds factor · chances[i] · evidence[i] to a vector.
     *
     * @param array<int, T> $to
     * @param T $factor
     * @param array<int, T> $chances
     * @param array<int, T> $evidence
     */
    public function add(array &$to, mixed $factor, array $chances, array $evidence): void;

    /**
     * Numbers of which only the proportions matter, so that none shrinks to nothing.
     *
     * @param array<int, T> $numbers
     * @return array<int, T>
     */
    public function scaled(array $numbers): array;
}
