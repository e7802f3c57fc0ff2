<?php

declare(strict_types=1);

namespace Destino\Planning;

/**
 * Which pairings to make in a season, out of what several projects wish for: each female has one mate, a male a few
 * females, each wish is granted at most once. The weight granted is the greatest there is (branch and bound; wishes are
 * few).
 *
 * @phpstan-type Wish array{name: string, sires: list<string>, dams: list<string>, weight: float}
 * @phpstan-type Grant array{wish: int, sire: string, dam: string}
 */
final class SeasonAssignment
{
    /** @var list<Grant> */
    private array $best = [];

    private float $bestWeight = -1.0;

    /** @var list<Wish> the weightiest first */
    private array $wishes;

    /** @var list<int> their places as they were given */
    private array $places;

    /** @param list<Wish> $wishes */
    public function __construct(array $wishes, private readonly int $femalesPerMale)
    {
        $places = array_keys($wishes);
        usort($places, static fn (int $a, int $b): int => [$wishes[$b]['weight'], $a] <=> [$wishes[$a]['weight'], $b]);
        $this->places = $places;
        $this->wishes = array_map(static fn (int $place): array => $wishes[$place], $places);
    }

    /** @return list<Grant> by wish, as they were given */
    public function grants(): array
    {
        $this->descend(0, [], [], [], 0.0);
        $grants = array_map(fn (array $grant): array => ['wish' => $this->places[$grant['wish']]] + $grant, $this->best);
        usort($grants, static fn (array $a, array $b): int => $a['wish'] <=> $b['wish']);

        return $grants;
    }

    /**
     * @param list<Grant> $granted
     * @param array<string, true> $mated females
     * @param array<string, int> $served by male
     */
    private function descend(int $at, array $granted, array $mated, array $served, float $weight): void
    {
        if ($weight > $this->bestWeight) {
            [$this->best, $this->bestWeight] = [$granted, $weight];
        }
        $left = array_sum(array_map(static fn (array $wish): float => $wish['weight'], array_slice($this->wishes, $at)));
        if (! isset($this->wishes[$at]) || $weight + $left <= $this->bestWeight) {
            return;
        }
        $wish = $this->wishes[$at];
        foreach ($wish['dams'] as $dam) {
            foreach (isset($mated[$dam]) ? [] : $wish['sires'] as $sire) {
                if (($served[$sire] ?? 0) < $this->femalesPerMale) {
                    $this->descend($at + 1, [...$granted, ['wish' => $at, 'sire' => $sire, 'dam' => $dam]], $mated + [$dam => true], [$sire => ($served[$sire] ?? 0) + 1] + $served, $weight + $wish['weight']);
                }
            }
        }
        $this->descend($at + 1, $granted, $mated, $served, $weight);
    }
}
