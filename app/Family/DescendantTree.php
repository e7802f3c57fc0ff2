<?php

declare(strict_types=1);

namespace App\Family;

use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Family;
use App\Models\Animal;

/** The recorded descendants of an animal, laid out for drawing: one column a generation, each below its elder sibling. */
class DescendantTree
{
    /** Columns drawn; beyond them and beyond the rows the rest is counted. */
    public const GENERATIONS = 3;

    public const WIDTH = PedigreeTree::WIDTH;

    public const HEIGHT = PedigreeTree::HEIGHT;

    private const MOST = 60;

    private const STEP = PedigreeTree::HEIGHT + 10;

    /** @var list<array{x: float, y: float, with: string, card: AnimalCard}> */
    public array $nodes = [];

    /** @var list<array{float, float, float, float}> lines from a parent to its young: x, y, x, y */
    public array $lines = [];

    /** Descendants that are not drawn: each once, however many lines lead to it. */
    public readonly int $more;

    private int $rows = 0;

    public function __construct(
        private readonly Animal $animal,
        private readonly Family $family,
        private readonly CatalogueShelf $shelf,
        private readonly Beliefs $beliefs,
    ) {
        foreach ($family->offspringOf($animal) as $young) {
            $this->place($young, $animal, 0);
        }
        $drawn = array_map(fn (array $node): int => $node['card']->animal->id, $this->nodes);
        $this->more = count(array_diff($this->descendants(), $drawn));
    }

    public function isEmpty(): bool
    {
        return $this->nodes === [];
    }

    public function width(): float
    {
        $columns = 1 + (int) max(array_map(fn (array $node): float => $node['x'] / (PedigreeTree::WIDTH + 40), $this->nodes));

        return $columns * (PedigreeTree::WIDTH + 40);
    }

    public function height(): float
    {
        return $this->rows * self::STEP;
    }

    /** @return list<int> all that descend from the animal */
    private function descendants(): array
    {
        $found = [];
        $open = [$this->animal];
        while ($open !== []) {
            foreach ($this->family->offspringOf(array_pop($open)) as $young) {
                isset($found[$young->id]) ?: $open[] = $young;
                $found[$young->id] = true;
            }
        }

        return array_keys($found);
    }

    /** @return float|null the middle of the node; null where it is not drawn any more */
    private function place(Animal $young, Animal $parent, int $generation): ?float
    {
        if ($generation >= self::GENERATIONS || count($this->nodes) >= self::MOST) {
            return null;
        }
        $at = count($this->nodes);
        $x = (float) ($generation * (PedigreeTree::WIDTH + 40));
        $otherId = $young->sire_id === $parent->id ? $young->dam_id : $young->sire_id;
        $with = $this->family->animal($otherId)->name ?? ($young->sire_id === $parent->id ? $young->dam_name : $young->sire_name) ?? '';
        $this->nodes[] = [
            'x' => $x, 'y' => 0.0, 'with' => $with, 'card' => new AnimalCard($young, $this->beliefs, $this->shelf->catalogue()),
        ];
        $middles = [];
        foreach ($this->family->offspringOf($young) as $next) {
            $middle = $this->place($next, $young, $generation + 1);
            if ($middle !== null) {
                $middles[] = $middle;
            }
        }
        $own = $middles === [] ? ($this->rows++ + .5) * self::STEP : array_sum($middles) / count($middles);
        $this->nodes[$at]['y'] = $own - PedigreeTree::HEIGHT / 2;
        foreach ($middles as $middle) {
            $this->lines[] = [$x + PedigreeTree::WIDTH, $own, $x + PedigreeTree::WIDTH + 40, $middle];
        }

        return $own;
    }
}
