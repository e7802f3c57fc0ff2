<?php

declare(strict_types=1);

namespace Destino\Appearance\Skin;

/** Areas of a grid in which a field is above a level, by marching squares: closed lines, with the inside on one hand. */
final class Contours
{
    /** By the corners that are inside: edges of a square (0 above, 1 right, 2 below, 3 left), whence the line comes and where it goes. */
    private const SEGMENTS = [
        1 => [[3, 0]], 2 => [[0, 1]], 3 => [[3, 1]], 4 => [[1, 2]], 5 => [[3, 0], [1, 2]], 6 => [[0, 2]], 7 => [[3, 2]],
        8 => [[2, 3]], 9 => [[2, 0]], 10 => [[0, 1], [2, 3]], 11 => [[2, 1]], 12 => [[1, 3]], 13 => [[1, 0]], 14 => [[0, 3]],
    ];

    /**
     * @param array<int, array<int, float>> $field by column and row, each from 0
     * @return list<list<array{float, float}>> closed lines, in columns and rows
     */
    public static function above(array $field, float $level): array
    {
        $columns = count($field);
        $rows = count($field[0] ?? []);
        $outside = array_fill(0, $rows + 2, -1e3);
        $padded = [
            $outside,
            ...array_map(static fn (array $column): array => [-1e3, ...array_values($column), -1e3], array_values($field)),
            $outside,
        ];
        $next = $points = [];
        for ($i = -1; $i < $columns; $i++) {
            [$left, $right] = [$padded[$i + 1], $padded[$i + 2]];
            for ($j = -1; $j < $rows; $j++) {
                [$a, $b, $c, $d] = [$left[$j + 1], $right[$j + 1], $right[$j + 2], $left[$j + 2]];
                $case = ($a > $level ? 1 : 0) | ($b > $level ? 2 : 0) | ($c > $level ? 4 : 0) | ($d > $level ? 8 : 0);
                if ($case === 0 || $case === 15) {
                    continue;
                }
                [$a, $b, $c, $d] = [$a - $level, $b - $level, $c - $level, $d - $level];
                foreach (self::SEGMENTS[$case] as [$from, $to]) {
                    [$start, $end] = [self::edge($i, $j, $from), self::edge($i, $j, $to)];
                    $next[$start] = $end;
                    $points[$start] ??= self::point($i, $j, $from, [$a, $b, $c, $d]);
                }
            }
        }

        return self::loops($next, $points);
    }

    /** The name of an edge, the same from both squares that share it. */
    private static function edge(int $i, int $j, int $side): int
    {
        return match ($side) {
            0 => ($i + 1) * 2048 + 2 * ($j + 1),
            2 => ($i + 1) * 2048 + 2 * ($j + 2),
            3 => ($i + 1) * 2048 + 2 * ($j + 1) + 1,
            default => ($i + 2) * 2048 + 2 * ($j + 1) + 1,
        };
    }

    /**
     * @param array{float, float, float, float} $corners
     * @return array{float, float}
     */
    private static function point(int $i, int $j, int $side, array $corners): array
    {
        [$a, $b, $c, $d] = $corners;
        $share = static fn (float $one, float $other): float => max(0.0, min(1.0, $one / ($one - $other)));
        [$x, $y] = match ($side) {
            0 => [$i + $share($a, $b), (float) $j],
            1 => [$i + 1.0, $j + $share($b, $c)],
            2 => [$i + $share($d, $c), $j + 1.0],
            default => [(float) $i, $j + $share($a, $d)],
        };

        return [$x, $y];
    }

    /**
     * @param array<int, int> $next
     * @param array<int, array{float, float}> $points
     * @return list<list<array{float, float}>>
     */
    private static function loops(array $next, array $points): array
    {
        $loops = [];
        while ($next !== []) {
            $at = array_key_first($next);
            $loop = [];
            while (isset($next[$at])) {
                $loop[] = $points[$at];
                $after = $next[$at];
                unset($next[$at]);
                $at = $after;
            }
            $loops[] = $loop;
        }

        return $loops;
    }
}
