<?php

declare(strict_types=1);

namespace Destino\Probability;

/**
 * Weights under keys, added up as they come: what becomes a distribution once everything is heard.
 *
 * @template T
 */
final class Weights
{
    /** @var array<array-key, array{T, Rational}> */
    private array $entries = [];

    /**
     * @template V
     *
     * @param iterable<array{array-key, V, Rational}> $weighted key, value, weight
     * @return self<V>
     */
    public static function of(iterable $weighted): self
    {
        /** @var self<V> $weights */
        $weights = new self;
        foreach ($weighted as [$key, $value, $weight]) {
            $weights->add($key, $value, $weight);
        }

        return $weights;
    }

    /** @param iterable<Rational> $numbers */
    public static function sum(iterable $numbers): Rational
    {
        $sum = Rational::zero();
        foreach ($numbers as $number) {
            $sum = $sum->plus($number);
        }

        return $sum;
    }

    /** @param T $value of which the last given under a key is kept: equal keys stand for equal values */
    public function add(int|string $key, mixed $value, Rational $weight): void
    {
        if (! $weight->isZero()) {
            $this->entries[$key] = [$value, isset($this->entries[$key]) ? $this->entries[$key][1]->plus($weight) : $weight];
        }
    }

    /** @param self<T> $others added to these, each times so much */
    public function merge(self $others, ?Rational $times = null): void
    {
        foreach ($others->entries as $key => [$value, $weight]) {
            $this->add($key, $value, $times === null ? $weight : $weight->times($times));
        }
    }

    public function total(): Rational
    {
        return self::sum($this->sums());
    }

    public function isEmpty(): bool
    {
        return $this->entries === [];
    }

    /** @return array<array-key, array{T, Rational}> value and weight by key */
    public function entries(): array
    {
        return $this->entries;
    }

    /** @return array<array-key, Rational> by key */
    public function sums(): array
    {
        return array_map(static fn (array $entry): Rational => $entry[1], $this->entries);
    }

    /** @return array<int, Rational> the sums where the keys are numbers */
    public function numbered(): array
    {
        $numbered = [];
        foreach ($this->entries as $key => [, $weight]) {
            $numbered[(int) $key] = $weight;
        }

        return $numbered;
    }

    /** @return array<array-key, Rational> by key, in proportion to the weights and 1 in all; empty where there are none */
    public function shares(): array
    {
        $total = $this->total();

        return $total->isOne() ? $this->sums() : array_map(static fn (Rational $sum): Rational => $sum->dividedBy($total), $this->sums());
    }

    /**
     * @param callable(T): bool $is
     * @return self<T>
     */
    public function where(callable $is): self
    {
        /** @var self<T> $some */
        $some = new self;
        $some->entries = array_filter($this->entries, static fn (array $entry): bool => $is($entry[0]));

        return $some;
    }

    /**
     * @return Distribution<T> in proportion to the weights
     *
     * @throws InvalidNumber when there are none
     */
    public function normalised(): Distribution
    {
        $total = $this->total();
        $isOne = $total->isOne();
        $weighted = [];
        foreach ($this->entries as $key => [$value, $weight]) {
            $weighted[] = [(string) $key, $value, $isOne ? $weight : $weight->dividedBy($total)];
        }

        return Distribution::ofWeighted($weighted);
    }
}
