<?php

declare(strict_types=1);

namespace App\Drawing;

/** A tile of a cut area, a little smaller than its place, so that tiles stand apart. */
final readonly class Tile
{
    private const GAP = 4.0;

    public float $width;

    public float $height;

    /** @param array{x: float, y: float, width: float, height: float} $place as Treemap cuts it */
    public function __construct(private array $place)
    {
        $this->width = round(max(0.0, $place['width'] - self::GAP), 2);
        $this->height = round(max(0.0, $place['height'] - self::GAP), 2);
    }

    public function move(): string
    {
        return 'translate('.round($this->place['x'] + self::GAP / 2, 2).' '.round($this->place['y'] + self::GAP / 2, 2).')';
    }

    public function radius(float $most = 12): float
    {
        return round(min($most, $this->width / 3, $this->height / 3), 2);
    }
}
