<?php

namespace App\Drawing;

use Destino\Appearance\Head;
use Destino\Appearance\Look;
use Destino\Appearance\SkinMap;

/**
 * A look as SVG: the skin laid flat, head at the left. Scales are squares of one unit in a lattice that is turned and
 * stretched, so that a run of scales of one colour is a stroke of a few characters.
 */
class SkinSvg
{
    public const WIDTH = 1000;

    public const HEIGHT = 150;

    private const NECK = 118.0;

    private const TAIL = 992.0;

    /** Half the height of the body where it is widest. */
    private const GIRTH = 66.0;

    /** Half columns and half rows of a full drawing and of a small one. */
    private const FULL = [268, 27];

    private const SMALL = [52, 5];

    private const CARD = [112, 12];

    private const MEDIUM = [150, 15];

    /** The whole drawing. */
    public static function full(Look $look, string $label): string
    {
        return self::drawn($look, $label, ...self::FULL);
    }

    /** A small one for lists. */
    public static function thumbnail(Look $look, string $label): string
    {
        return self::drawn($look, $label, ...self::SMALL);
    }

    /** One of medium size, for a row of a few. */
    public static function medium(Look $look, string $label): string
    {
        return self::drawn($look, $label, ...self::MEDIUM);
    }

    /** What a symbol, or a drawing of medium size, is made of: without its frame, so that it can be kept. */
    public static function content(Look $look, string $size): string
    {
        return self::inner($look, ...match ($size) {
        'medium' => self::MEDIUM, 'card' => self::CARD, default => self::SMALL,
        });
    }

    /** A small one to be used several times on a page. */
    public static function symbol(string $content, string $id): string
    {
        return '<symbol id="'.$id.'" viewBox="0 0 '.self::WIDTH.' '.self::HEIGHT.'">'.$content.'</symbol>';
    }

    private static function drawn(Look $look, string $label, int $columns, int $rows): string
    {
        return self::framed(self::inner($look, $columns, $rows), $label);
    }

    public static function framed(string $content, string $label): string
    {
        return '<svg xmlns="http://www.w3.org/2000/svg" class="skin" viewBox="0 0 '.self::WIDTH.' '.self::HEIGHT.'" role="img" aria-label="'.htmlspecialchars($label, ENT_QUOTES | ENT_XML1).'">'
            .$content.'</svg>';
    }

    private static function inner(Look $look, int $columns, int $rows): string
    {
        $map = new SkinMap($look, $columns, $rows);
        $isSmall = $columns < 120;
        $belly = self::hex($map->belly());
        $body = '<path class="skin-edge" fill="'.$belly.'" d="'.self::silhouette($isSmall ? 12 : 40).'"/>';
        $wide = (self::TAIL - self::NECK) / $columns;
        $high = self::GIRTH / $rows;
        $matrix = implode(' ', array_map(fn (float $number): string => self::number($number), [
            $wide, $high, -$wide, $high, self::NECK + $wide / 2, self::HEIGHT / 2,
        ]));
        $scales = '';
        foreach ($map->scales() as $colour => $cells) {
            $scales .= '<path stroke="'.self::hex($colour).'" d="'.self::runs($cells).'"/>';
        }

        return $body.'<g transform="matrix('.$matrix.')" fill="none" stroke-width="1.04" stroke-linecap="square">'.$scales.'</g>'
            .self::head($look, $isSmall);
    }

    /**
     * Runs of neighbours along one way of the lattice.
     *
     * @param list<array{int, int}> $cells column and row, in half steps
     */
    private static function runs(array $cells): string
    {
        $rows = [];
        foreach ($cells as [$column, $row]) {
            $rows[intdiv($row - $column, 2)][] = intdiv($column + $row, 2);
        }
        $path = '';
        foreach ($rows as $j => $along) {
            sort($along);
            $from = $to = $along[0];
            foreach ([...array_slice($along, 1), null] as $i) {
                if ($i === $to + 1) {
                    $to = $i;

                    continue;
                }
                $path .= "M{$from} {$j}h".($to - $from);
                if ($i !== null) {
                    $from = $to = $i;
                }
            }
        }

        return $path;
    }

    private static function silhouette(int $steps): string
    {
        $upper = $lower = [];
        for ($k = 0; $k <= $steps; $k++) {
            $u = $k / $steps;
            $x = self::number(self::NECK + $u * (self::TAIL - self::NECK));
            $half = self::GIRTH * SkinMap::girth($u) + .8;
            $upper[] = $x.' '.self::number(self::HEIGHT / 2 - $half);
            $lower[] = $x.' '.self::number(self::HEIGHT / 2 + $half);
        }

        return 'M'.implode('L', [...$upper, ...array_reverse($lower)]).'z';
    }

    private static function head(Look $look, bool $isSmall): string
    {
        $paths = '';
        foreach ((new Head($look))->parts() as ['part' => $part, 'colour' => $colour, 'points' => $points]) {
            if ($isSmall && in_array($part, ['nostril', 'snout', 'pupil'], true)) {
                continue;
            }
            $paths .= '<path'.(
                $part === 'head' ? ' class="skin-edge"' : ''
            ).' fill="'.self::hex($colour).'" d="'.self::rounded($points, $isSmall ? 0 : 1).'"/>';
        }

        return '<g transform="translate(2 '.(self::HEIGHT / 2).') scale(1.24 1.3)">'.$paths.'</g>';
    }

    /**
     * A closed outline that is drawn through the middles between points.
     *
     * @param list<array{float, float}> $points
     */
    private static function rounded(array $points, int $decimals): string
    {
        $count = count($points);
        $middle = fn (int $i): string => self::number(($points[$i][0] + $points[($i + 1) % $count][0]) / 2, $decimals).' '
            .self::number(($points[$i][1] + $points[($i + 1) % $count][1]) / 2, $decimals);
        $path = 'M'.$middle($count - 1);
        for ($i = 0; $i < $count; $i++) {
            $path .= 'Q'.self::number($points[$i][0], $decimals).' '.self::number($points[$i][1], $decimals).' '.$middle($i);
        }

        return $path.'z';
    }

    private static function hex(int $colour): string
    {
        return sprintf('#%06x', $colour);
    }

    private static function number(float $number, int $decimals = 1): string
    {
        $text = number_format($number, $decimals, '.', '');

        return $decimals === 0 ? $text : rtrim(rtrim($text, '0'), '.');
    }
}
