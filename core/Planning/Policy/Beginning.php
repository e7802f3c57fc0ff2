<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/**
 * How an answer is played: which keeper it has and what he gives, and the pairs that he makes first, since they were found to do
 * better.
 */
final readonly class Beginning
{
    /**
     * @param list<array{string, string}> $pairs sire and dam (ids)
     * @param list<string> $later ids of offers that are bought in a later season if nothing as good has hatched by then
     */
    public function __construct(
        public array $pairs = [], public bool $buildsUp = false, public Effort $effort = new Effort, public array $later = [],
    ) {}

    /** @param list<array{string, string}> $pairs sire and dam (ids) */
    public function with(array $pairs): self
    {
        return new self($pairs, $this->buildsUp, $this->effort, $this->later);
    }

    /** The same keeper, who gives more or less. */
    public function giving(Effort $effort): self
    {
        return new self($this->pairs, $this->buildsUp, $effort, $this->later);
    }

    /** @param list<string> $offers ids */
    public function thenBuying(array $offers): self
    {
        return new self($this->pairs, $this->buildsUp, $this->effort, $offers);
    }

    /**
     * @return array{
     *     pairs: list<array{string, string}>, builds_up: bool, effort: array{tubs: int|null, clutches: int|null}, later: list<string>
     * }
     */
    public function toArray(): array
    {
        return [
            'pairs' => $this->pairs, 'builds_up' => $this->buildsUp, 'effort' => $this->effort->toArray(), 'later' => $this->later,
        ];
    }

    /** @param array<array-key, mixed> $stored as toArray() gives it, or, of before, the pairs alone */
    public static function fromArray(array $stored): self
    {
        $pairs = [];
        foreach ((array) ($stored['pairs'] ?? $stored) as $pair) {
            if (is_array($pair) && is_string($pair[0] ?? null) && is_string($pair[1] ?? null)) {
                $pairs[] = [$pair[0], $pair[1]];
            }
        }

        return new self(
            $pairs, ($stored['builds_up'] ?? false) === true, Effort::fromArray($stored['effort'] ?? null),
            array_values(array_filter((array) ($stored['later'] ?? []), is_string(...))),
        );
    }
}
