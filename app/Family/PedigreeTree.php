<?php

declare(strict_types=1);

namespace App\Family;

use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Family;
use App\Models\Animal;

/** The recorded ancestors of an animal, laid out for drawing: one column a generation, the sire above the dam. */
class PedigreeTree
{
    public const GENERATIONS = 3;

    public const WIDTH = 236;

    public const HEIGHT = 58;

    private const GAP = 14;

    private const SLOT = self::HEIGHT + self::GAP;

    /** @var list<array{x: float, y: float, role: string, name: string, card: AnimalCard|null}> */
    public readonly array $nodes;

    /** @var list<array{float, float, float, float}> lines from an animal to its parent: x, y, x, y */
    public readonly array $lines;

    public function __construct(
        Animal $animal,
        private readonly Family $family,
        private readonly CatalogueShelf $shelf,
        private readonly Beliefs $beliefs,
    ) {
        [$this->nodes, $this->lines] = $this->place($animal, null, 'self', 0, 0);
    }

    /** Whether any parent is recorded. */
    public function isKnown(): bool
    {
        return count(array_filter($this->nodes, fn (array $node): bool => $node['name'] !== '')) > 1;
    }

    public function width(): float
    {
        return (self::GENERATIONS) * (self::WIDTH + 40);
    }

    public function height(): float
    {
        return 2 ** (self::GENERATIONS - 1) * self::SLOT;
    }

    /**
     * An animal and its ancestors.
     *
     * @param  int  $slot  place in its column, from the top
     * @return array{list<array{x: float, y: float, role: string, name: string, card: AnimalCard|null}>, list<array{float, float, float, float}>}
     */
    private function place(?Animal $animal, ?string $name, string $role, int $generation, int $slot): array
    {
        $slots = 2 ** (self::GENERATIONS - 1 - $generation);
        [$x, $y] = [(float) ($generation * (self::WIDTH + 40)), ($slot + .5) * $slots * self::SLOT];
        $card = $animal === null ? null : new AnimalCard($animal, $this->beliefs, $this->shelf->catalogue());
        $nodes = [['x' => $x, 'y' => $y - self::HEIGHT / 2, 'role' => $role, 'name' => $animal->name ?? $name ?? '', 'card' => $card]];
        $lines = [];
        if ($animal === null || $generation + 1 >= self::GENERATIONS) {
            return [$nodes, $lines];
        }
        foreach (['sire', 'dam'] as $i => $parent) {
            $next = $this->family->animal($animal->{"{$parent}_id"});
            $lines[] = [$x + self::WIDTH, $y, $x + self::WIDTH + 40, ($slot * 2 + $i + .5) * $slots / 2 * self::SLOT];
            [$more, $further] = $this->place($next, $animal->{"{$parent}_name"}, $parent, $generation + 1, $slot * 2 + $i);
            [$nodes, $lines] = [[...$nodes, ...$more], [...$lines, ...$further]];
        }

        return [$nodes, $lines];
    }
}
