<?php

declare(strict_types=1);

namespace App\Drawing;

use Destino\Appearance\Look;
use Destino\Appearance\Skin\Body;
use Destino\Appearance\Skin\Contours;
use Destino\Appearance\Skin\LightField;
use Destino\Appearance\Skin\Tones;

/**
 * A look as SVG: the whole animal, lying in three bends, or its skin laid flat. All of it is made on the skin, in places along and
 * around the body, and put into the picture last; outline, light and texture are the same of all drawings of a size and stand once
 * on a page.
 */
final class SnakeSvg
{
    public const WIDTH = 600;

    public const HEIGHT = 400;

    /** A part that is cut out is at least so high. */
    private const LEAST_HIGH = 44.0;

    /** Blotches along the body in the measure of crops. */
    private const CROP = 15;

    /** So many blotches of the body stand in a picture of the head. */
    private const NECK = 1.5;

    /** Width and height of the skin laid flat. */
    public const FLAT = [1000, 190];

    /** Blotches, half width, head, columns and rows of the field, units for a unit of the box, least step of a path. */
    private const SIZES = [
        'small' => [12, 60.0, 132.0, 56, 12, .6, 7.0], 'card' => [17, 56.0, 116.0, 96, 16, 1.1, 7.0],
        'full' => [17, 56.0, 116.0, 140, 24, 2.0, 7.0], 'flat' => [17, 84.0, 118.0, 140, 28, 1.2, 7.0],
    ];

    /** What lies nearer than this to the straight way is left out. */
    private const STRAIGHT = .6;

    /** @var array<string, Body> by size */
    private static array $bodies = [];

    private readonly Body $body;

    private readonly LightField $field;

    private readonly Tones $tones;

    private readonly float $unit;

    private readonly float $step;

    /** @param array{float, float}|null $part of the body that is wanted, in blotches from the neck; null for all of it */
    private function __construct(private readonly Look $look, private readonly string $size, ?array $part = null)
    {
        [$blotches, $girth, $head, $columns, $rows, $this->unit, $this->step] = self::SIZES[$size] ?? self::SIZES['card'];
        $this->body = self::$bodies[$size] ??= new Body($blotches, $girth, $head, $size === 'flat');
        $this->field = new LightField($look, $blotches, $columns, $rows, $part);
        $this->tones = new Tones($look);
    }

    /** @param array{float, float}|null $part of the body that is wanted, in blotches from the neck; null for all of it */
    public static function content(Look $look, string $size, ?array $part = null): string
    {
        $one = new self($look, $size, $part);

        return '<g clip-path="url(#lie-'.$size.')">'.$one->layers().'</g><use href="#lie-light-'.$size.'"/>'.$one->eyes();
    }

    /** A drawing with all that it stands on, for a page or a file of its own. */
    public static function alone(string $content, string $label, string $size = 'full'): string
    {
        $content = '<defs>'.self::common($size).'</defs>'.$content;
        $own = substr(hash('xxh32', $label.$content), 0, 6); // two on one page do not name each other's parts

        return self::framed(str_replace(['"lie-', '#lie-'], ["\"lie-{$own}-", "#lie-{$own}-"], $content), $label, $size);
    }

    /** Content that was kept, in its frame. */
    public static function framed(string $content, string $label, string $size): string
    {
        $view = $size === 'flat' ? 'flat' : 'lying';

        return '<svg xmlns="http://www.w3.org/2000/svg" class="skin '.$view.'" viewBox="'.self::box($size).'" role="img" aria-label="'
            .htmlspecialchars($label, ENT_QUOTES | ENT_XML1).'">'.$content.'</svg>';
    }

    /** As a file: its outline is its own, since it stands where no style sheet does. */
    public static function file(string $content, string $size): string
    {
        return str_replace(
            'class="skin-edge"', 'class="skin-edge" stroke="#8c8677" stroke-opacity=".6" stroke-width="1.6"',
            self::framed('<defs>'.self::common($size).'</defs>'.$content, '', $size),
        );
    }

    /**
     * A part of the skin laid flat, cut out: for one state of one cue.
     *
     * @param array<string, mixed> $crop map "skin" with x (blotches from the neck) and v (around it), or "head" with a box in its own
     *     measure of 108 by 64
     * @param bool $isWide whether the picture is as wide as its part wants; otherwise it fills a frame of three by two
     */
    public static function closeUp(Look $look, array $crop, bool $isWide = false): string
    {
        $unit = self::SIZES['flat'][5];
        [$box, $part] = self::cut($crop);
        if ($isWide) {
            $wide = $box[3] * self::shape($crop);
            [$box[0], $box[2]] = [$box[0] + ($box[2] - $wide) / 2, $wide];
        }
        $frame = $isWide ? 'width="'.round(64 * self::shape($crop)).'" height="64"'
            : 'width="96" height="64" preserveAspectRatio="xMidYMid slice"';
        $cut = implode(' ', array_map(fn (float $number): string => (string) round($number * $unit), $box));

        return str_replace(
            ['viewBox="'.self::box('flat').'"', ' role="img" aria-label=""'], ['viewBox="'.$cut.'" '.$frame, ''],
            self::file(self::content($look, 'flat', $part), 'flat'),
        );
    }

    /**
     * How wide the picture of a part is for its height: never narrower than seven by four, and of a long strip a piece.
     *
     * @param array<string, mixed> $crop
     */
    public static function shape(array $crop): float
    {
        [[, , $wide, $high]] = self::cut($crop);

        return max(1.75, min(3.0, $wide / $high));
    }

    /**
     * @param array<string, mixed> $crop
     * @return array{array{float, float, float, float}, array{float, float}} the box, and the part of the body from and to, in blotches
     */
    private static function cut(array $crop): array
    {
        [$blotches, $girth, $head] = self::SIZES['flat'];
        [$left, $middle, $half] = [14.0, self::FLAT[1] / 2, $girth * .66 / 32];
        if ($crop['map'] === 'head') {
            [$x, $y, $width, $height] = $crop['box'] ?? [0.0, -32.0, 108.0, 64.0];

            return [
                [$left + $x / 108 * $head, $middle + $y * $half, $width / 108 * $head, $height * $half], [-.5, self::NECK],
            ];
        }
        [[$from, $to], [$top, $bottom]] = [$crop['x'] ?? [5.0, 9.0], $crop['v'] ?? [-1.0, 1.0]];
        $along = fn (float $x): float => $left + $head + $x / self::CROP * (self::FLAT[0] - 26 - $head);
        $high = max(self::LEAST_HIGH, ($bottom - $top) * $girth); // a strip along the belly needs what stands above it

        return [
            [$along($from), $middle + $bottom * $girth - $high, $along($to) - $along($from), $high],
            [$from / self::CROP * $blotches - 1, $to / self::CROP * $blotches + 1],
        ];
    }

    /** Units of a drawing for one of the box. */
    public static function unit(string $size): float
    {
        return (self::SIZES[$size] ?? self::SIZES['card'])[5];
    }

    public static function box(string $size): string
    {
        $unit = self::unit($size);

        [$width, $height] = $size === 'flat' ? self::FLAT : [self::WIDTH, self::HEIGHT];

        return '0 0 '.round($width * $unit).' '.round($height * $unit);
    }

    /**
     * What the drawings of a size have in common: the outline, the light on a round body, the texture of the scales.
     */
    public static function common(string $size): string
    {
        [$blotches, $girth, $head, , , $unit] = self::SIZES[$size] ?? self::SIZES['card'];
        $body = self::$bodies[$size] ??= new Body($blotches, $girth, $head, $size === 'flat');
        $outline = self::closed($body->outline($size === 'small' ? 50 : 90), $unit, 2.0);
        $middle = 'M'.implode('L', array_map(
            fn (array $at): string => round($at[0] * $unit).' '.round($at[1] * $unit), $body->middle($size === 'small' ? 34 : 60),
        ));
        $shade = $light = '';
        foreach ($size === 'small' ? [8, 20, 34] : [4, 10, 17, 24, 31, 38, 45, 52] as $width) {
            $shade .= '<use href="#lie-line-'.$size.'" stroke-width="'.round($width * $unit, 1).'" transform="translate('
                .round(-$width * .04 * $unit, 1).' '.round(-$width * .3 * $unit, 1).')"/>';
        }
        foreach ($size === 'small' ? [14, 34] : [8, 16, 26, 38] as $width) {
            $light .= '<use href="#lie-middle-'.$size.'" stroke-width="'.round($width * $unit, 1).'"/>';
        }
        $moved = round(-4 * $unit, 1).' '.round(-15 * $unit, 1);
        [$dark, $white] = $size === 'small' ? ['.07', '.05'] : ['.03', '.035'];

        return '<clipPath id="lie-'.$size.'"><path id="lie-line-'.$size.'" d="'.$outline.'"/></clipPath>'
            .'<path id="lie-middle-'.$size.'" d="'.$middle.'" stroke-linecap="round"/>'
            .'<g id="lie-light-'.$size.'"><g clip-path="url(#lie-'.$size.')" fill="none">'
            .'<g stroke="#000" stroke-opacity="'.$dark.'">'.$shade.'</g>'
            .'<g stroke="#fff" stroke-opacity="'.$white.'" transform="translate('.$moved.')">'.$light.'</g></g>'
            .'<path class="skin-edge" fill="none" d="'.$outline.'"/></g>';
    }

    private function layers(): string
    {
        $paths = '<path fill="'.$this->tones->belly($this->look->at('bellytint')).'" d="M0 0H2000V1000H0z"/>';
        foreach ($this->size === 'small' ? [[.94, 'flank', 0.0], [.7, 'light', 0.0]]
            : [[.94, 'flank', 0.0], [.8, 'flank', .5], [.64, 'light', 0.0]] as [$v, $part, $share]) {
            $fill = $share > 0 ? $this->tones->between($part, 'light', $share) : $this->tones->of($part);
            $paths .= $this->path($this->line($this->body->band($v, $this->size === 'small' ? 40 : 80)), $fill);
        }
        $amount = $this->look->at('pattern_amount');
        if ($this->look->at('backlight') > 0) {
            $paths .= $this->path($this->line($this->body->band(.16)), $this->tones->of('flame'), .45);
        }
        $paths .= $this->area(fn (float $f): float => $f, .34, $this->tones->of('dusky'), $amount < -1 ? .3 : .7);
        $rim = max(0.0, $this->look->at('rim'));
        $stroke = $rim > 0 ? $this->tones->of('flame') : $this->tones->between('dark', 'light', .42);
        $paths .= $this->area(fn (float $f): float => -$f, 0.0, $this->tones->of('dark'), 1.0, $stroke, ($rim > 0 ? 6 + 3 * $rim : 4));
        if ($this->size !== 'small') {
            $paths .= $this->area(fn (float $f): float => -$f, .33, $this->tones->of('deep'), .8);
        }

        $marks = new SnakeMarks($this->look, $this->field, $this->tones, $this->unit, $this->size === 'small');

        return $paths.$marks->paths($this->at(...), $this->path(...), $this->line(...), $this->areaOf(...)).$this->head();
    }

    /**
     * Areas where a function of the field is above a level.
     *
     * @param callable(float): float $of
     */
    private function area(callable $of, float $level, string $fill, float $opacity, ?string $stroke = null, float $width = 0.0): string
    {
        return $this->areaOf(fn (int $i, int $j): float => $of($this->field->values[$i][$j]), $level, $fill, $opacity, $stroke, $width);
    }

    /** @param callable(int, int): float $of by column and row of the field */
    public function areaOf(callable $of, float $level, string $fill, float $opacity, ?string $stroke = null, float $width = 0.0): string
    {
        $values = [];
        for ($i = $this->field->first; $i <= $this->field->last; $i++) {
            for ($j = 0; $j < $this->field->rows; $j++) {
                $values[$i - $this->field->first][$j] = $of($i, $j);
            }
        }
        $d = '';
        foreach (Contours::above($values, $level) as $loop) {
            $points = [];
            foreach ($loop as $k => [$column, $row]) {
                [$x, $y, $isSeen] = $this->body->at($this->field->along($this->field->first + $column), $this->field->around($row));
                if ($isSeen || $k % 5 === 0) {
                    $points[] = [$x, $y];
                }
            }
            $d .= self::closed($points, $this->unit, $this->step);
        }

        $soft = $stroke === null ? ''
            : ' stroke="'.$stroke.'" stroke-width="'.round($width * $this->unit * .5, 1).'" paint-order="stroke"';

        return $d === '' ? '' : '<path fill="'.$fill.'"'.($opacity < 1 ? ' opacity="'.round($opacity, 2).'"' : '').$soft.' d="'.$d.'"/>';
    }

    /** @return array{float, float, bool} */
    public function at(float $x, float $v): array
    {
        return $this->body->at($x, $v);
    }

    /** @param list<array{float, float}> $points in the box */
    public function line(array $points): string
    {
        return self::closed($points, $this->unit, $this->step);
    }

    public function path(string $d, string $fill, float $opacity = 1.0): string
    {
        return $d === '' ? '' : '<path fill="'.$fill.'"'.($opacity < 1 ? ' opacity="'.round($opacity, 2).'"' : '').' d="'.$d.'"/>';
    }

    private function head(): string
    {
        $at = fn (float $a, float $v): array => array_slice($this->body->headAt($a, $v), 0, 2);

        return (new SnakeHead($this->look, $this->tones, $this->size))->paths($at, $this->line(...), $this->path(...));
    }

    private function eyes(): string
    {
        $paths = '';
        $iris = SnakeHead::iris($this->look);
        foreach ([.62, -.62] as $v) {
            [$x, $y, $isSeen] = $this->body->headAt(.34, $v);
            $size = ($isSeen ? 7.5 : 4.5) * $this->unit;
            [$x, $y] = [round($x * $this->unit, 1), round($y * $this->unit, 1)];
            $place = fn (float $dx, float $dy): string => 'cx="'.round($x + $dx, 1).'" cy="'.round($y + $dy, 1).'"';
            $paths .= '<circle '.$place(0, 0).' r="'.round($size, 1).'" fill="'.$iris[0]
                .'" stroke="#1a1611" stroke-opacity=".5" stroke-width="'.round(1.2 * $this->unit, 1).'"/>';
            if ($isSeen && $this->size !== 'small') {
                $paths .= '<ellipse '.$place(0, 0).' rx="'.round($size * .34, 1).'" ry="'.round($size * .78, 1).'" fill="'.$iris[1].'"/>'
                    .'<circle '.$place(-$size * .3, -$size * .4).' r="'.round($size * .2, 1).'" fill="#fff" opacity=".85"/>';
            }
        }

        return $paths;
    }

    /**
     * A smooth closed line: a curve for each point, its ends half way between points, so that each goes on from the one before; points
     * are even numbers, so that what lies half way is whole. What lies too near the last is left out.
     *
     * @param list<array{float, float}> $points in the box
     */
    private static function closed(array $points, float $unit, float $step): string
    {
        $kept = [];
        foreach ($points as [$x, $y]) {
            [$x, $y] = [$x * $unit, $y * $unit];
            $last = $kept[count($kept) - 1] ?? null;
            if ($last === null || abs($x - $last[0]) + abs($y - $last[1]) >= $step) {
                $kept[] = [$x, $y];
            }
        }
        $kept = self::straightened($kept);
        $count = count($kept);
        if ($count < 3) {
            return '';
        }
        $even = array_map(fn (array $at): array => [2 * (int) round($at[0] / 2), 2 * (int) round($at[1] / 2)], $kept);
        $atX = intdiv($even[$count - 1][0] + $even[0][0], 2);
        $atY = intdiv($even[$count - 1][1] + $even[0][1], 2);
        $d = "M{$atX} {$atY}q".Outline::pair($even[0][0] - $atX, $even[0][1] - $atY).' ';
        foreach ($even as $i => [$x, $y]) {
            [$nextX, $nextY] = $even[($i + 1) % $count];
            [$toX, $toY] = [intdiv($x + $nextX, 2), intdiv($y + $nextY, 2)];
            $d .= ($i === 0 ? '' : 't').Outline::pair($toX - $atX, $toY - $atY);
            [$atX, $atY] = [$toX, $toY];
        }

        return $d.'z';
    }

    /**
     * Without points that lie on the straight way between their neighbours.
     *
     * @param list<array{float, float}> $points
     * @return list<array{float, float}>
     */
    private static function straightened(array $points): array
    {
        $kept = [];
        $count = count($points);
        foreach ($points as $i => $point) {
            $before = $kept[count($kept) - 1] ?? $points[$count - 1];
            $after = $points[($i + 1) % $count];
            [$dx, $dy] = [$after[0] - $before[0], $after[1] - $before[1]];
            $length = hypot($dx, $dy);
            $off = $length < 1e-6 ? 1.0 : abs($dx * ($point[1] - $before[1]) - $dy * ($point[0] - $before[0])) / $length;
            if ($off > self::STRAIGHT || $i === 0) {
                $kept[] = $point;
            }
        }

        return $kept;
    }
}
