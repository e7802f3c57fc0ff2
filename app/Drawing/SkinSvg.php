<?php

declare(strict_types=1);

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
        return self::edged(self::drawn($look, $label, ...self::FULL));
    }

    /** A drawing of which the content was kept, as a file. */
    public static function file(string $content): string
    {
        return self::edged(self::framed($content, ''));
    }

    /** Its outline is its own: a file of it stands where no style sheet does. */
    private static function edged(string $drawing): string
    {
        return str_replace('class="skin-edge"', 'class="skin-edge" stroke="#8c8677" stroke-opacity=".6" stroke-width="1.6"', $drawing);
    }

    /** @param 'full'|'medium' $size */
    public static function of(string $size, Look $look, string $label): string
    {
        return $size === 'full' ? self::full($look, $label) : self::medium($look, $label);
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
        return '<svg xmlns="http://www.w3.org/2000/svg" class="skin" viewBox="0 '
            .'0 '.self::WIDTH.' '.self::HEIGHT.'" role="img" aria-label="'.htmlspecialchars($label, ENT_QUOTES | ENT_XML1).'">'
            .$content.'</svg>';
    }

    private static function inner(Look $look, int $columns, int $rows): string
    {
        $map = new SkinMap($look, $columns, $rows);
        $isSmall = $columns < 80;
        $belly = self::hex($map->belly());
        $body = '<path class="skin-edge" fill="'.$belly.'" d="'.self::silhouette($isSmall, $rows).'"/>';
        $wide = (self::TAIL - self::NECK) / $columns;
        $high = self::GIRTH / $rows;
        $matrix = implode(' ', array_map(fn (float $number): string => Outline::number($number), [
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
     * Runs of neighbours along one way of the lattice, each told from the end of the one before.
     *
     * @param list<array{int, int}> $cells column and row, in half steps
     */
    private static function runs(array $cells): string
    {
        $rows = [];
        foreach ($cells as [$column, $row]) {
            $rows[intdiv($row - $column, 2)][] = intdiv($column + $row, 2);
        }
        krsort($rows);
        [$path, $atColumn, $atRow] = ['', 0, 0];
        foreach ($rows as $j => $along) {
            sort($along);
            $from = $to = $along[0];
            foreach ([...array_slice($along, 1), null] as $i) {
                if ($i === $to + 1) {
                    $to = $i;

                    continue;
                }
                $path .= 'm'.Outline::pair($from - $atColumn, $j - $atRow).'h'.($to - $from);
                [$atColumn, $atRow] = [$to, $j];
                if ($i !== null) {
                    $from = $to = $i;
                }
            }
        }

        return $path;
    }

    /** Its rim lies outside the outermost scales, so that they do not cover it. */
    private static function silhouette(bool $isSmall, int $rows): string
    {
        $rim = min(6.5, self::GIRTH / $rows);
        $steps = $isSmall ? 12 : 40;
        $upper = $lower = [];
        for ($k = 0; $k <= $steps; $k++) {
            $u = $k / $steps;
            $x = self::NECK + $u * (self::TAIL - self::NECK);
            $half = self::GIRTH * SkinMap::girth($u) + $rim;
            $upper[] = [$x, self::HEIGHT / 2 - $half];
            $lower[] = [$x, self::HEIGHT / 2 + $half];
        }
        $points = [...$upper, ...array_reverse($lower)];

        return $isSmall
            ? Outline::straight($points)
            : 'M'.implode('L', array_map(fn (array $at): string => Outline::number($at[0]).' '.Outline::number($at[1]), $points)).'z';
    }

    private static function head(Look $look, bool $isSmall): string
    {
        $paths = '';
        $last = null;
        foreach ((new Head($look))->parts() as ['part' => $part, 'colour' => $colour, 'points' => $points]) {
            if ($isSmall && in_array($part, ['nostril', 'snout', 'pupil'], true)) {
                continue;
            }
            $outline = $isSmall ? Outline::straight($points) : Outline::rounded($points);
            // Both sides of a part are one path.
            if ($last === [$part, $colour]) {
                $paths = substr($paths, 0, -3).$outline.'"/>';

                continue;
            }
            $paths .= '<path'.($part === 'head' ? ' class="skin-edge"' : '').' fill="'.self::hex($colour).'" d="'.$outline.'"/>';
            $last = [$part, $colour];
        }

        return '<g transform="translate(2 '.(self::HEIGHT / 2).') scale(1.24 1.3)">'.$paths.'</g>';
    }

    private static function hex(int $colour): string
    {
        return sprintf('#%06x', $colour);
    }
}
