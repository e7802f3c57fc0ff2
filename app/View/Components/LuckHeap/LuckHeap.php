<?php

declare(strict_types=1);

namespace App\View\Components\LuckHeap;

use App\Luck\Heap;
use App\View\Components\Part\Part;
use Destino\Probability\Luck;

/** A hundred runs as a heap of dots, those as far out as the keeper's in the colour of what is due. */
class LuckHeap extends Part
{
    private const STEP = 11;

    /** Dots upon each other; a column with more is several dots wide. */
    private const HIGH = 14;

    private const FLOOR = 168;

    public readonly Heap $heap;

    public readonly int $across;

    public function __construct(Luck $luck)
    {
        $this->heap = new Heap($luck);
        $this->across = max(1, (int) ceil(max(array_column($this->heap->columns, 'dots')) / self::HIGH));
    }

    public function columnWidth(): int
    {
        return self::STEP * $this->across + 14;
    }

    public function width(): int
    {
        return max(120, $this->columnWidth() * count($this->heap->columns) + 10);
    }

    /** Where the highest column ends. */
    public function top(): int
    {
        return self::FLOOR - self::STEP * (int) ceil(max(array_column($this->heap->columns, 'dots')) / $this->across) - 4;
    }

    /** @return list<array{float, float}> middles of the dots of a column */
    public function dots(int $column): array
    {
        $dots = [];
        for ($i = 0; $i < $this->heap->columns[$column]['dots']; $i++) {
            $dots[] = [
                $this->left($column) + self::STEP * ($i % $this->across) + self::STEP / 2,
                self::FLOOR - self::STEP * intdiv($i, $this->across) - self::STEP / 2,
            ];
        }

        return $dots;
    }

    public function left(int $column): float
    {
        return 12 + $this->columnWidth() * $column;
    }

    public function middle(int $column): float
    {
        return $this->left($column) + self::STEP * $this->across / 2;
    }
}
