<?php

declare(strict_types=1);

namespace App\Drawing;

use Destino\Appearance\Look;
use Destino\Appearance\Noise;
use Destino\Appearance\Skin\LightField;
use Destino\Appearance\Skin\Tones;

/** What lies on the light and the dark of the skin: spots, smudges, flames, stripes, lines, freckles, the belly edge, white. */
final readonly class SnakeMarks
{
    private Noise $noise;

    public function __construct(private Look $look, private LightField $field, private Tones $tones, private float $unit, private bool $isSmall)
    {
        $this->noise = $field->noise();
    }

    /**
     * @param callable(float, float): array{float, float, bool} $at a place of the skin in the box
     * @param callable(string, string, float): string $path
     * @param callable(list<array{float, float}>): string $line
     * @param callable(callable(int, int): float, float, string, float): string $area
     */
    public function paths(callable $at, callable $path, callable $line, callable $area): string
    {
        $draw = static fn (array $places): string => $line(array_map(
            static fn (array $place): array => array_slice($at($place[0], $place[1]), 0, 2), $places,
        ));

        return $this->blush($area).$this->spots($at, $draw, $path).$this->flames($at, $draw, $path).$this->stripes($draw, $path)
            .$this->row($draw, $path).$this->points($at).$this->edge($at, $draw, $path).$this->notches($at, $draw, $path)
            .$this->white($area);
    }

    private function blush(callable $area): string
    {
        $blush = $this->look->at('blush');
        if ($blush <= .2) {
            return '';
        }
        $of = fn (int $i, int $j): float => $this->field->values[$i][$j] > -.12 ? -1.0
            : $this->noise->smooth(1.6 * $this->field->along($i) + 3, 3 * $this->field->around($j)) + .28 * $blush - .25;

        return $area($of, .0, $this->tones->of('smudge'), .5).($this->isSmall ? '' : $area($of, .3, $this->tones->of('smudge', .25), .45));
    }

    /** Dark spots within the blotches. */
    private function spots(callable $at, callable $draw, callable $path): string
    {
        $d = '';
        $one = $this->look->at('oneeye') > .4;
        foreach ($this->field->blotches as $k => [$x, $width, $top, $side, $isFree]) {
            $count = $one ? ($this->noise->at($k, 61) < .8 ? 1 : 0)
                : (int) round(1.45 + .75 * $this->look->at('eyes') + 1.2 * ($this->noise->at($k, 62) - .5));
            for ($n = 0; $n < max(0, min(4, $count)); $n++) {
                $px = $x + $width * ($count === 1 ? .1 : ($n - ($count - 1) / 2) * .75) + .06 * ($this->noise->at($k * 4 + $n, 63) - .5);
                $v = $side * ($top + (.5 + .3 * ($this->noise->at($k * 4 + $n, 64) - .5)) * (($isFree > 0 ? .8 : .95) - $top));
                $size = ($one ? .13 : .065) * (.8 + .5 * $this->noise->at($k * 4 + $n, 65));
                if ($this->field->value($px, $v) > .18 && $at($px, $v)[2]) {
                    $d .= $draw($this->oval($px, $v, $size, $size * 1.1, $k * 4 + $n));
                }
            }
        }

        return $path($d, $this->tones->of('dark'), 1.0);
    }

    /** @return list<array{float, float}> an uneven oval */
    private function oval(float $x, float $v, float $long, float $wide, int $seed): array
    {
        $points = [];
        for ($i = 0; $i < 7; $i++) {
            $angle = 2 * M_PI * $i / 7;
            $reach = .8 + .4 * $this->noise->at($seed, 70 + $i);
            $points[] = [$x + $long * $reach * cos($angle), $v + $wide * $reach * sin($angle)];
        }

        return $points;
    }

    private function flames(callable $at, callable $draw, callable $path): string
    {
        $amount = $this->look->at('flames');
        $tears = $this->look->at('tears');
        $wide = $narrow = '';
        foreach ($this->field->blotches as $k => [$x, $width, , $side]) {
            $gap = $x + .5;
            if ($amount > .15 && $this->noise->at($k, 81) < .35 + .5 * $amount && $this->field->value($gap, $side * .75) < 0) {
                $high = .16 + .2 * $amount * (.7 + .6 * $this->noise->at($k, 82));
                $broad = .1 + .04 * $amount;
                $lean = .1 * ($this->noise->at($k, 83) - .5);
                foreach ([[1.0, &$wide], [.6, &$narrow]] as [$scale, &$d]) {
                    $d .= $draw([
                        [$gap - $broad * $scale, $side * .97], [$gap - $broad * .6 * $scale, $side * (.97 - $high * .5 * $scale)],
                        [$gap + $lean - .02, $side * (.97 - $high * $scale)], [$gap + $lean + .02, $side * (.97 - $high * $scale)],
                        [$gap + $broad * .6 * $scale, $side * (.97 - $high * .5 * $scale)], [$gap + $broad * $scale, $side * .97],
                    ]);
                }
                unset($d);
            }
            if ($tears > .3 && $this->noise->at($k, 85) < .55) {
                $narrow .= $draw([[$x, $side * .5], [$x + .05, $side * .68], [$x, $side * .8], [$x - .05, $side * .68]]);
            }
        }
        $fill = $this->look->at('flamered') > .5 ? '#d9762f' : $this->tones->of('flame');

        return $path($wide, $fill, .5).$path($narrow, $fill, .8);
    }

    private function stripes(callable $draw, callable $path): string
    {
        $look = $this->look;
        $dark = $this->tones->of('dark');
        $pair = fn (float $v, float $half, float $gaps, int $one, int $other): string => $this->ribbon($draw, $v, $half, $gaps, $one)
            .$this->ribbon($draw, -$v, $half, $gaps, $other);
        $paths = $this->spine($draw, $path);
        foreach ([.15, .47] as $i => $v) {
            $half = .014 + .011 * $look->at('lines');
            $paths .= $look->at('lines') > .2 ? $path($pair($v, $half, .25, 11 + $i, 13 + $i), $dark, 1.0) : '';
        }
        $paths .= $look->at('backlines') > .4 ? $path($pair(.17, .012 * $look->at('backlines'), .1, 17, 19), $dark, 1.0) : '';
        $paths .= $look->at('sideline') > .2 ? $path($pair(.5, .03, .2, 21, 23), $dark, 1.0) : '';
        $band = .05 + .04 * $look->at('fused');
        $paths .= $look->at('fused') > .5 ? $path($pair(.55, $band, 0.0, 25, 27), $this->tones->of('light'), 1.0) : '';

        return $paths.($look->at('web') > .2 ? $path($this->threads($draw), $dark, 1.0) : '');
    }

    /** The pale stripe along the spine, on a dark ribbon where it is strong, in pieces where it is weak. */
    private function spine(callable $draw, callable $path): string
    {
        $stripe = $this->look->at('dorsal_stripe');
        if ($stripe <= .3) {
            return '';
        }
        $half = .03 + .04 * $stripe;
        $gaps = max(0.0, 1.1 - $stripe) + .5 * max(0.0, $this->look->at('dashed'));

        return ($stripe > 1.2 ? $path($this->ribbon($draw, 0.0, $half + .07, 0.0, 3), $this->tones->of('dark'), 1.0) : '')
            .$path($this->ribbon($draw, 0.0, $half, min(.8, $gaps), 5), $this->tones->of('light', .25), 1.0);
    }

    /** A waved ribbon along the body, with gaps. */
    private function ribbon(callable $draw, float $v, float $half, float $gaps, int $seed): string
    {
        $last = $this->field->along($this->field->columns - 1);
        $d = '';
        $upper = $lower = [];
        for ($x = .2; $x <= $last; $x += .25) {
            $wave = $v + .02 * $this->noise->smooth(.9 * $x, $seed + .5);
            $own = $half * (.75 + .5 * $this->noise->at((int) ($x * 4), $seed));
            if ($this->noise->smooth(.7 * $x + $seed, 2.0 + $seed) > 1 - $gaps) {
                $d .= count($upper) > 2 ? $draw([...$upper, ...array_reverse($lower)]) : '';
                $upper = $lower = [];
            } else {
                $upper[] = [$x, $wave - $own];
                $lower[] = [$x, $wave + $own];
            }
        }

        return $d.(count($upper) > 2 ? $draw([...$upper, ...array_reverse($lower)]) : '');
    }

    /** Dots along the spine, and a stripe that runs onto the tail. */
    private function row(callable $draw, callable $path): string
    {
        $last = $this->field->along($this->field->columns - 1);
        $dots = $this->look->at('dots');
        $d = '';
        for ($k = 0, $x = .6; $dots > .4 && $x < $last - 1; $x += .42, $k++) {
            $d .= $draw($this->oval($x, .02 * ($this->noise->at($k, 95) - .5), .05 + .03 * $dots, .03 + .015 * $dots, $k));
        }
        $stripe = $this->look->at('tailstripe');
        if ($stripe > .3) {
            $half = .03 + .03 * $stripe;
            $d .= $draw([[.72 * $last, 0], [.78 * $last, $half], [$last, $half], [$last, -$half], [.78 * $last, -$half]]);
        }

        return $path($d, $this->tones->of('light', .2), 1.0);
    }

    /** Rounded white notches along the belly. */
    private function notches(callable $at, callable $draw, callable $path): string
    {
        $amount = $this->look->at('notches');
        $last = $this->field->along($this->field->columns - 1);
        $d = '';
        foreach ($amount > .3 ? [-1, 1] : [] as $side) {
            for ($x = .5; $x < $last - .6; $x += .5) {
                if ($at($x, $side * .95)[2]) {
                    $half = .1 + .04 * $amount;
                    $top = .98 - .08 - .04 * $amount;
                    $d .= $draw([
                        [$x - $half, $side * 1.0], [$x - .8 * $half, $side * ($top + .03)], [$x, $side * $top],
                        [$x + .8 * $half, $side * ($top + .03)], [$x + $half, $side * 1.0],
                    ]);
                }
            }
        }

        return $path($d, '#faf7f0', 1.0);
    }

    /** Threads across the flanks, tapering towards the belly. */
    private function threads(callable $draw): string
    {
        $d = '';
        foreach ($this->field->blotches as $k => [$x, , , $side]) {
            if ($this->noise->at($k, 91) < .25) {
                continue;
            }
            $end = .5 + .35 * $this->noise->at($k, 92);
            $lean = .35 * ($this->noise->at($k, 93) - .5);
            $left = $right = [];
            for ($i = 0; $i <= 6; $i++) {
                $t = .12 + ($end - .12) * $i / 6;
                $at = $x + .5 + $lean * $i / 6 + .05 * $this->noise->smooth($k * 3.1 + $i * .5, 4.0);
                $half = .035 * (1 - .8 * $i / 6);
                $left[] = [$at - $half, $side * $t];
                $right[] = [$at + $half, $side * $t];
            }
            $d .= $draw([...$left, ...array_reverse($right)]);
        }

        return $d;
    }

    /** Specks and freckles: points with round caps. */
    private function points(callable $at): string
    {
        $freckles = max(0.0, $this->look->at('freckles'));
        $fine = max(0.0, $this->look->at('fine'));
        $d = '';
        $count = (int) round(($this->isSmall ? 14 : 34) * $freckles + ($this->isSmall ? 16 : 40) * $fine);
        $last = $this->field->along($this->field->columns - 1);
        for ($k = 0; $k < $count; $k++) {
            $n = $this->look->at('grouped') > .5 ? intdiv($k, 4) : $k; // in groups of a few, or one by one
            [$x, $y, $isSeen] = $at(
                $last * $this->noise->at($n, 101) + ($n === $k ? 0.0 : .22 * ($this->noise->at($k, 103) - .5)),
                1.7 * ($this->noise->at($n, 102) - .5) + ($n === $k ? 0.0 : .12 * ($this->noise->at($k, 104) - .5)),
            );
            $d .= $isSeen ? 'M'.round($x * $this->unit).' '.round($y * $this->unit).'h0' : '';
        }

        $colour = $freckles > 0 ? '#2a221c' : $this->tones->of('dark');

        return $d === '' ? '' : '<path fill="none" stroke="'.$colour.'" stroke-linecap="round" stroke-width="'
            .round(4.2 * $this->unit, 1).'" opacity=".85" d="'.$d.'"/>';
    }

    /** The edge of the belly: checks, notches, or the dark marks of a normal. */
    private function edge(callable $at, callable $draw, callable $path): string
    {
        $checks = max(0.0, $this->look->at('checks'));
        $clear = $this->look->at('belly_clear');
        if ($this->isSmall && $checks < .5 || $this->look->at('fade') > 2) {
            return '';
        }
        if ($checks > .4) {
            return $this->checks($at, $draw, $path, $checks);
        }
        $d = '';
        $last = $this->field->along($this->field->columns - 1);
        foreach ([-1, 1] as $side) {
            for ($k = 0, $x = .3; $x < $last - .4; $x += .5, $k++) {
                if ($this->noise->at($k, 110 + $side) > .45 + .2 * $clear && $at($x, $side * .95)[2]) {
                    $d .= $draw([[$x - .14, $side * .93], [$x + .14, $side * .93], [$x + .14, $side * 1.0], [$x - .14, $side * 1.0]]);
                }
            }
        }

        return $path($d, $this->tones->of('dark'), .9);
    }

    /** Dark and pale squares by turns along the edge of the belly; a second row above it where they are many. */
    private function checks(callable $at, callable $draw, callable $path, float $checks): string
    {
        $last = $this->field->along($this->field->columns - 1);
        $isTwo = $checks > 2.5;
        $high = $isTwo ? .085 : .055 + .035 * min(2.0, $checks);
        $pale = $dark = '';
        foreach ([-1, 1] as $side) {
            for ($k = 0, $x = .3; $x < $last - .4; $x += .2, $k++) {
                foreach ($at($x, $side * .95)[2] ? ($isTwo ? [0, 1] : [0]) : [] as $row) {
                    $top = 1.0 - $high * ($row + 1);
                    $square = [];
                    foreach ([[-1, 0], [-.98, 1], [.98, 1], [1, 0]] as [$along, $up]) { // corners twice, so that they stay square
                        $square[] = [$x + .1 * $along, $side * ($top + $high * (1 - $up))];
                    }
                    ($k + $row) % 2 === 0 ? $dark .= $draw($square) : $pale .= $draw($square);
                }
            }
        }

        return $path($pale, $this->tones->of('belly'), .95).$path($dark, $this->tones->of('dark'), $checks < 1.6 ? .62 : .95);
    }

    private function white(callable $area): string
    {
        $white = $this->look->at('white_area');
        $spatter = $this->look->at('spatter');
        $patch = $this->look->at('yellowpatch');
        $paths = '';
        if ($patch > .2) {
            $yellow = fn (int $i, int $j): float => .14 * $patch
                + $this->noise->smooth(1.4 * $this->field->along($i) + 71, 2.6 * $this->field->around($j));
            $paths .= $area($yellow, .72, '#e9c66a', .9);
        }
        if ($white > .2 || $spatter > .2) {
            $jagged = max(0.0, $this->look->at('patchjagged'));
            $of = function (int $i, int $j) use ($white, $spatter, $jagged): float {
                [$x, $v] = [$this->field->along($i), $this->field->around($j)];
                $f = $white > .2
                    ? .95 * $this->noise->smooth(.32 * $x + 41, .5 * $v + 7) + .35 * $this->noise->smooth(.9 * $x, 1.4 * $v + 3)
                        + .42 * $white - .72 - .9 * max(0.0, 1 - $x / 1.4)
                    : -1.0;
                if ($spatter > .2) {
                    $f = max($f, abs($v) - 1.02 + .2 * $spatter + .3 * $this->noise->smooth(1.1 * $x + 13, 3 * $v));
                }

                return $f + $jagged * .22 * ($this->noise->at($i, $j + 40) - .5);
            };
            $paths .= $area($of, 0.0, '#faf7f0', 1.0);
        }

        return $paths;
    }
}
