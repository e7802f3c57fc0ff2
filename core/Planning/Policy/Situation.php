<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** What a keeper knows before the pairing of a season. */
final readonly class Situation
{
    /**
     * @param list<Holding> $animals
     * @param array{male: int, female: int} $found animals of the target so far
     * @param array{string, string}|null $without a pair (ids of sire and dam) that is not to be made in this season
     */
    public function __construct(public int $season, public array $animals, public array $found, private ?array $without = null) {}

    public function without(string $sire, string $dam): self
    {
        return new self($this->season, $this->animals, $this->found, [$sire, $dam]);
    }

    public function isWithout(Holding $sire, Holding $dam): bool
    {
        return $this->without !== null && $this->without[0] === $sire->id && $this->without[1] === $dam->id;
    }
}
