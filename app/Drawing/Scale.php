<?php

declare(strict_types=1);

namespace App\Drawing;

/** A straight scale: values of one range as places of another, under every chart. */
final readonly class Scale
{
    private function __construct(private float $from, private float $low, private float $unit) {}

    /** Values from … to stand at low … high; where the range is empty, at low. */
    public static function of(float $from, float $to, float $low, float $high): self
    {
        return new self($from, $low, $to === $from ? 0.0 : ($high - $low) / ($to - $from));
    }

    public function at(float $value): float
    {
        return $this->low + ($value - $this->from) * $this->unit;
    }

    /** How long so much of the range is. */
    public function length(float $span): float
    {
        return $span * $this->unit;
    }

    /**
     * Places in one line of a path or polyline.
     *
     * @param list<array{float, float}> $points
     */
    public static function points(array $points): string
    {
        return implode(' ', array_map(fn (array $at): string => round($at[0], 1).','.round($at[1], 1), $points));
    }
}
