<?php

declare(strict_types=1);

namespace App\Photos;

use InvalidArgumentException;

/** The part of a photograph that shows one animal of several: a square around a place. */
final readonly class PhotoPart
{
    /** Around a head that stands alone, in thousandths of the shorter side. */
    private const LARGEST = 450;

    private const SMALLEST = 150;

    /** How much of the way to the nearest other head, in hundredths: a part shows its own animal, and little of the next. */
    private const OF_THE_WAY = 120;

    /**
     * @param int $across of its middle, in thousandths of the width
     * @param int $down in thousandths of the height
     * @param int $side in thousandths of the shorter side
     */
    public function __construct(public int $across, public int $down, public int $side)
    {
        if (min($across, $down) < 0 || max($across, $down, $side) > 1000 || $side < 1) {
            throw new InvalidArgumentException('A part of a photograph lies within it, in thousandths.');
        }
    }

    /** Null where none is told, or none that lies within a photograph. */
    public static function read(?int $across, ?int $down, ?int $side): ?self
    {
        $isWithin = static fn (?int $value, int $least): bool => $value !== null && $value >= $least && $value <= 1000;

        return $isWithin($across, 0) && $isWithin($down, 0) && $isWithin($side, 1) ? new self((int) $across, (int) $down, (int) $side) : null;
    }

    /**
     * The part around a head, the smaller the nearer the next one is.
     *
     * @param array{int, int} $head across and down, in thousandths of width and height
     * @param list<array{int, int}> $others
     */
    public static function around(array $head, array $others, int $width, int $height): self
    {
        $shorter = min($width, $height);
        $side = (float) self::LARGEST;
        foreach ($others as $other) {
            $distance = hypot(($head[0] - $other[0]) * $width / $shorter, ($head[1] - $other[1]) * $height / $shorter);
            $side = min($side, $distance * self::OF_THE_WAY / 100);
        }

        return new self($head[0], $head[1], max(self::SMALLEST, (int) round($side)));
    }

    /** @return array{left: int, top: int, side: int} in pixels of a picture, moved in where it would reach over the edge */
    public function within(int $width, int $height): array
    {
        $side = max(1, (int) round($this->side * min($width, $height) / 1000));
        $from = static fn (int $middle, int $length): int => max(0, min($length - $side, (int) round($middle * $length / 1000 - $side / 2)));

        return ['left' => $from($this->across, $width), 'top' => $from($this->down, $height), 'side' => $side];
    }
}
