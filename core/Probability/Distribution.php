<?php

declare(strict_types=1);

namespace Destino\Probability;

/**
 * A finite probability distribution: values under distinct keys, with exact probabilities that sum to 1.
 *
 * @template-covariant T
 */
final readonly class Distribution
{
    /** @param array<string, array{T, Rational}> $entries */
    private function __construct(private array $entries) {}

    /**
     * @template V
     *
     * @param V $value
     * @return self<V>
     */
    public static function certain(string $key, mixed $value): self
    {
        return new self([$key => [$value, Rational::one()]]);
    }

    /**
     * Adds up the weights of equal keys and drops what has none.
     *
     * @template V
     *
     * @param iterable<array{string, V, Rational}> $weighted key, value, probability
     * @return self<V>
     *
     * @throws InvalidNumber when a probability is negative, or all do not sum to 1
     */
    public static function ofWeighted(iterable $weighted): self
    {
        $entries = [];
        $total = Rational::zero();
        foreach ($weighted as [$key, $value, $weight]) {
            if ($weight->isZero()) {
                continue;
            }
            if ($weight->isNegative()) {
                throw InvalidNumber::negativeWeight($key, $weight->toString());
            }
            $entries[$key] = [$value, isset($entries[$key]) ? $entries[$key][1]->plus($weight) : $weight];
            $total = $total->plus($weight);
        }
        if (! $total->isOne()) {
            throw InvalidNumber::notNormalised($total->toString());
        }

        return new self($entries);
    }

    /** @return array<string, array{T, Rational}> value and probability by key */
    public function entries(): array
    {
        return $this->entries;
    }

    public function isCertain(): bool
    {
        return count($this->entries) === 1;
    }

    /** P(key). */
    public function probabilityOf(string $key): Rational
    {
        return $this->entries[$key][1] ?? Rational::zero();
    }

    public function count(): int
    {
        return count($this->entries);
    }
}
