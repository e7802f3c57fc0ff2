<?php

declare(strict_types=1);

namespace App\Drawing;

/** Cuts a rectangle into tiles of given shares, as near to square as rows allow (squarified treemap, Bruls et al. 2000). */
class Treemap
{
    /**
     * @param  list<float>  $shares  largest first; they need not sum to 1
     * @return list<array{x: float, y: float, width: float, height: float}>
     */
    public static function cut(array $shares, float $width, float $height): array
    {
        $total = array_sum($shares);
        $areas = array_map(fn (float $share): float => $share / max($total, 1e-12) * $width * $height, $shares);
        $tiles = [];
        [$x, $y] = [0.0, 0.0];
        for ($at = 0; $at < count($areas);) {
            $side = max(min($width, $height), 1e-9);
            $count = 1;
            while (
                $at + $count < count($areas)
                && self::worst(array_slice($areas, $at, $count + 1), $side) <= self::worst(array_slice($areas, $at, $count), $side)
            ) {
                $count++;
            }
            $row = array_slice($areas, $at, $count);
            $depth = array_sum($row) / $side;
            $along = 0.0;
            foreach ($row as $area) {
                $length = $area / max($depth, 1e-9);
                $tiles[] = $width >= $height
                    ? ['x' => $x, 'y' => $y + $along, 'width' => $depth, 'height' => $length]
                    : ['x' => $x + $along, 'y' => $y, 'width' => $length, 'height' => $depth];
                $along += $length;
            }
            if ($width >= $height) {
                [$x, $width] = [$x + $depth, $width - $depth];
            } else {
                [$y, $height] = [$y + $depth, $height - $depth];
            }
            $at += $count;
        }

        return $tiles;
    }

    /**
     * Like cut, with one more tile for all the rest, last in the answer. However large the rest is, it lies to the
     * right or below, so that the likeliest outcome keeps its place at the left.
     *
     * @param  list<float>  $shares  largest first
     * @return list<array{x: float, y: float, width: float, height: float}>
     */
    public static function cutWithRest(array $shares, float $rest, float $width, float $height): array
    {
        $place = count(array_filter($shares, fn (float $share): bool => $share >= $rest));
        $tiles = self::cut([...array_slice($shares, 0, $place), $rest, ...array_slice($shares, $place)], $width, $height);
        if ($place === 0) {
            // Mirrored along the first cut: a larger rest would otherwise come first.
            $tiles = array_map(
                fn (array $tile): array => (
                    $width >= $height ? ['x' => $width - $tile['x'] - $tile['width']] : ['y' => $height - $tile['y'] - $tile['height']]
                ) + $tile,
                $tiles,
            );
        }
        [$own] = array_splice($tiles, $place, 1);

        return [...$tiles, $own];
    }

    /**
     * The worst aspect ratio in a row.
     *
     * @param  list<float>  $row
     */
    private static function worst(array $row, float $side): float
    {
        $sum = array_sum($row);

        return $row === [] ? INF : max($side ** 2 * max($row) / $sum ** 2, $sum ** 2 / max($side ** 2 * min($row), 1e-12));
    }
}
