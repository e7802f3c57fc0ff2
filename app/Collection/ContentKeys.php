<?php

declare(strict_types=1);

namespace App\Collection;

/** Hashes of what the belief of an animal follows from, relatives other than its ancestors aside: equal hashes, equal beliefs. */
final class ContentKeys
{
    /** @var array<int, string> by animal */
    private array $keys = [];

    private ?string $outside = null;

    /** @param string $facts mark of the gene facts in use */
    public function __construct(
        private readonly Records $records,
        private readonly Individuals $individuals,
        private readonly string $facts,
        private readonly int $unrecorded,
    ) {}

    /** By its own statements, those of its ancestors, and the gene facts in use. */
    public function of(int $id): string
    {
        if (isset($this->keys[$id])) {
            return $this->keys[$id];
        }
        $this->keys[$id] = 'loop'; // records that make an animal its own ancestor are told by the core, when it is asked
        $animal = $this->records->animals[$id] ?? null;
        $parents = array_map(
            fn (?int $parent): string => $parent !== null && isset($this->records->animals[$parent]) ? $this->of($parent) : '-',
            [$animal['sire_id'] ?? null, $animal['dam_id'] ?? null],
        );
        $isHalfKnown = ($parents[0] === '-') !== ($parents[1] === '-');

        return $this->keys[$id] = hash(
            'xxh128', serialize([$this->own($id), $parents, $this->facts, $isHalfKnown ? $this->outside() : '']),
        );
    }

    /** By what is recorded of the animal itself. */
    public function ownOf(int $id): string
    {
        $animal = $this->records->animals[$id] ?? null;

        return hash('xxh128', serialize([$this->own($id), $animal['sire_id'] ?? null, $animal['dam_id'] ?? null]));
    }

    /** @return list<mixed> */
    private function own(int $id): array
    {
        return [$this->individuals->sexOf($id)?->value, $this->records->statements[$id] ?? []];
    }

    /** What is said of all founders, from whom it follows how often animals from outside carry a gene. */
    private function outside(): string
    {
        if ($this->outside === null) {
            $animals = $this->records->animals;
            $founders = array_keys(array_filter(
                $animals,
                fn (array $animal): bool => ! isset($animals[$animal['sire_id'] ?? 0]) && ! isset($animals[$animal['dam_id'] ?? 0]),
            ));
            $this->outside = hash(
                'xxh128', serialize([$founders, array_intersect_key($this->records->statements, array_flip($founders)), $this->unrecorded]),
            );
        }

        return $this->outside;
    }
}
