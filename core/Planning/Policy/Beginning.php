<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** How an answer is played: which keeper it has, and the pairs that he makes first, since they were found to do better. */
final readonly class Beginning
{
    /** @param list<array{string, string}> $pairs sire and dam (ids) */
    public function __construct(public array $pairs = [], public bool $buildsUp = false) {}

    /** @return array{pairs: list<array{string, string}>, builds_up: bool} */
    public function toArray(): array
    {
        return ['pairs' => $this->pairs, 'builds_up' => $this->buildsUp];
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

        return new self($pairs, ($stored['builds_up'] ?? false) === true);
    }
}
