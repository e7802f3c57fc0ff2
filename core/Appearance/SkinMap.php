<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * The skin of an animal laid flat, made of scales: a lattice of rhombs, each of one colour. The back lies along the middle,
 * the belly edges outside, the neck at the left, the tail at the right; the head is drawn from its own parts (Head).
 */
final class SkinMap
{
    /** Scales with black in them: an amount that the wild type has in its dark areas. */
    private const DARK = 2.35;

    /** The belly edge begins here, as a share of the way from the back. */
    private const EDGE = .9;

    private readonly Pattern $pattern;

    private readonly Pigments $pigments;

    private readonly Noise $noise;

    private readonly Overlay $overlay;

    /** @var array<string, float> */
    private array $a;

    /**
     * @param int $columns half columns along the body
     * @param int $rows half rows from the back to the belly edge
     */
    public function __construct(private readonly Look $look, public readonly int $columns, public readonly int $rows)
    {
        $this->pattern = new Pattern($look);
        $this->pigments = new Pigments($look);
        $this->noise = $this->pattern->noise();
        foreach ([
            'pattern_amount', 'pattern_breakup', 'fine', 'eyes', 'oneeye', 'banding', 'clear', 'tears', 'sideline', 'back', 'dorsal_stripe',
            'dashed', 'backspots',
            'backlight', 'dots', 'lines', 'web', 'rim', 'jagged', 'flames', 'puzzle', 'checks', 'belly_clear', 'patchjagged', 'spatter',
            'yellowpatch',
            'blush', 'freckles', 'white_area',
        ] as $axis) {
            $this->a[$axis] = $look->at($axis);
        }
        $this->overlay = new Overlay($this->noise, $this->a);
    }

    /** Half width of the body along it, from 0 (neck) to 1 (tip of the tail), as a share of its widest. */
    public static function girth(float $u): float
    {
        $neck = $u < .26 ? .42 + .58 * (1 - cos(min(1.0, $u / .26) * M_PI)) / 2 : 1.0;
        $tail = $u > .7 ? cos(min(1.0, ($u - .7) / .3) * M_PI / 2) ** 1.15 : 1.0;

        return max(.05, min($neck, .08 + .92 * $tail));
    }

    /** @return array<int, list<array{int, int}>> scales by colour: column from the neck and row from the back, both in half steps */
    public function scales(): array
    {
        $scales = [];
        for ($column = 0; $column < $this->columns; $column++) {
            $u = ($column + .5) / $this->columns;
            $girth = self::girth($u);
            $x = $u * Pattern::BLOTCHES;
            for ($row = -$this->rows; $row <= $this->rows; $row++) {
                if ((($column + $row) & 1) !== 0) {
                    continue;
                }
                $v = $row / ($this->rows * $girth);
                if ($v <= 1.0 && $v >= -1.0) {
                    $scales[$this->colour($x, $v, $column, $row)][] = [$column, $row];
                }
            }
        }

        return $scales;
    }

    /**
     * The skin as a rectangle: what the drawing shows, however wide the body is there.
     *
     * @return list<list<int>> RGB by row, from the left belly edge over the back to the right one, and column, from the neck to the tail
     */
    public function rectangle(): array
    {
        $grid = [];
        for ($row = 0; $row < $this->rows; $row++) {
            $v = -1 + (2 * $row + 1) / $this->rows;
            $line = [];
            for ($column = 0; $column < $this->columns; $column++) {
                $line[] = $this->colour(($column + .5) / $this->columns * Pattern::BLOTCHES, $v, $column, $row);
            }
            $grid[] = $line;
        }

        return $grid;
    }

    /** RGB of the belly as it shows at the edge. */
    public function belly(): int
    {
        return $this->pigments->colour(.03, .1, .04, false);
    }

    private function colour(float $x, float $v, int $column, int $row): int
    {
        $a = $this->a;
        $t = $v < 0 ? -$v : $v;
        $grain = $this->noise->at($column + 300, $row + 40);
        $white = $a['white_area'] > 0.0 || $a['spatter'] > 0.0
            ? $this->pattern->white($x, $v) + $a['patchjagged'] * .55 * ($grain - .5)
            : -1.0;
        if ($white > 0.0) {
            return Pigments::mixed(0.0, $grain > .93 ? .125 : 0.0, 0.0, 0.0, 0.0);
        }
        if ($t > self::EDGE) {
            return $this->edge($x, $v, $column, $grain);
        }
        if ($a['freckles'] > 0.0 && $grain < .022 * $a['freckles'] * (1.2 + $this->noise->smooth($x * .9, $v * 2 + 5))) {
            return Pigments::mixed(1.67, .25, .25, .5, 0.0);
        }
        [$field, $across, $down, $number] = $this->field($x, $v, $grain);
        if ($a['yellowpatch'] > 0.0 && $this->noise->smooth($x * .55, $v * 1.1 + 71) > .72 - .22 * $a['yellowpatch']) {
            return Pigments::mixed(0.0, .5, .125, 0.0, 0.0);
        }
        if ($field <= 0.0) {
            return $this->darkScale($x, $v, $t, $grain, $field);
        }
        if ($a['tears'] > 0.0 && $t > .52 && $this->isTear($x, $v, $t)) {
            return $this->pigments->colour(.03, .18, .08, false);
        }
        if ($this->flame($x, $t, $v)) {
            return $this->pigments->colour(.04, .2 + .1 * $grain, .1, false);
        }
        if ($field > .1 && $this->isEye($across, $down, $number)) {
            return $this->pigments->colour(self::DARK * .85, .05, .03, true);
        }

        return $this->lightScale($t, $grain, $field);
    }

    /** A scale within a blotch. */
    private function lightScale(float $t, float $grain, float $field): int
    {
        $a = $this->a;
        $inner = $field > 1 ? 1.0 : $field;
        $isRim = $field < .2 && $a['rim'] > 0.0;
        $dusk = $isRim ? .02 : (.09 + .17 * $inner + .05 * $grain) * ($t > .72 ? 1 - .8 * ($t - .72) : 1.0);
        $light = $isRim ? .45 : 1.0;
        if ($a['backlight'] > 0.0 && $t < .3) {
            return $this->pigments->colour($dusk * .3, .7 * $a['backlight'], .2, false);
        }

        return $this->pigments->colour($dusk, $light * (.5 - .14 * max(0.0, $t - .55)), $light * (.27 - .16 * max(0.0, $t - .5)), false);
    }

    /** @return array{float, float, float, int} */
    private function field(float $x, float $v, float $grain): array
    {
        $a = $this->a;
        $t = $v < 0 ? -$v : $v;
        $busy = $a['pattern_breakup'] > 0.0 ? $a['pattern_breakup'] : 0.0;
        $rough = 1.5 * $this->noise->smooth($x * 1.25, $v * 2.1 + 7) + .8 * $this->noise->smooth($x * 3.4, $v * 5.2 + 3);
        if ($busy > 0.0) {
            $x += .42 * $busy * $this->noise->smooth($x * 1.1, $v * 2.6 + 91);
            $v *= 1 + .28 * $busy * $this->noise->smooth($x * 1.7, $v * 2 + 47);
        }
        [$flank, $across, $down, $number] = $this->pattern->ground($x, $v);
        if ($a['clear'] > 0.0 && $t > .24 + .09 * $this->noise->smooth($x * 1.6, $v < 0 ? 2 : 9)) {
            $flank += 1.6 * $a['clear'];
        }
        $back = $this->pattern->back($x, $v) - max(0.0, $a['clear']) * ($a['back'] > 0.0 ? .35 : 0.0);
        $field = max($flank, $back);
        if ($a['banding'] > 0.0) {
            $bars = 1.25 * cos(2 * M_PI * ($x + .5)) * -1 + .2;
            $field += min(1.0, .55 * $a['banding']) * ($bars - $field) * ($t < .3 ? .6 : 1.0);
        }
        if ($field < -.75) {
            $field = -.75;
        }
        $field += (.17 + .16 * $busy) * $rough - .27 * $a['pattern_amount'];
        if ($t < .42 && $a['back'] !== 0.0) {
            $field -= ($a['clear'] > .5 ? .45 : .75) * $a['back'] * (1 - $t / .42) * ($a['back'] < 0.0 ? .75 : 1.0);
        }
        if ($a['jagged'] !== 0.0) {
            $field += .34 * max(0.0, $a['jagged']) * ($grain - .5);
        }

        return [$this->overlay->drawn($field, $x, $v, $t, $grain), $across, $down, $number];
    }

    private function darkScale(float $x, float $v, float $t, float $grain, float $field): int
    {
        if ($this->flame($x, $t, $v)) {
            return $this->pigments->colour(.06 + .1 * $grain, .32, .16, false);
        }
        if ($this->a['blush'] > 0.0 && $field < -.22) {
            $smudge = $this->noise->smooth($x * 1.5, $v * 4 + 63) + .5 * $this->noise->smooth($x * 4, $v * 9 + 3);
            if ($smudge > .62 - .36 * $this->a['blush']) {
                return $this->pigments->colour(self::DARK * .42, .34, .2, true);
            }
        }
        $deep = $field < -.45 ? 1.08 : .94;

        return $this->pigments->colour(self::DARK * ($deep + .05 * ($grain - .5)), .05, .03, true);
    }

    /** Flames rise from the belly edge between the blotches. */
    private function flame(float $x, float $t, float $v): bool
    {
        $flames = $this->a['flames'];
        if ($flames <= 0.0 || $t < .45) {
            return false;
        }
        $cell = floor($x + .5);
        $tall = .34 * $flames * (.45 + .75 * $this->noise->at((int) $cell + 500, $v < 0 ? 1 : 2));
        $up = ($t - (1 - $tall)) / max(.01, $tall);

        return $up > 0.0 && abs($x - $cell + .06 * $this->noise->smooth($x * 5, $t * 5)) < .05 + .15 * $up;
    }

    /** Pale drops on plain flanks, where the dark columns would be. */
    private function isTear(float $x, float $v, float $t): bool
    {
        $cell = (int) floor($x * .8);
        $at = ($cell + .25 + .5 * $this->noise->at($cell + 700, $v < 0 ? 3 : 4)) / .8;
        $down = ($t - .52) / (.2 + .3 * $this->noise->at($cell + 800, $v < 0 ? 3 : 4));

        return $this->noise->at($cell + 900, $v < 0 ? 3 : 4) < .4 + .3 * $this->a['tears'] && $down < 1
            && abs($x - $at) < .16 * sin($down * M_PI) + .02;
    }

    private function isEye(float $across, float $down, int $number): bool
    {
        if ($this->a['oneeye'] > 0.0 && $this->noise->at($number, 41) < .7) {
            return ($across / .24) ** 2 + (($down - .42) / .13) ** 2 < 1;
        }
        $count = 1.25 + .75 * $this->a['eyes'] + 1.1 * ($this->noise->at($number, 43) - .5);
        if ($count < .8) {
            return false;
        }
        $spots = $count < 1.6 ? [[.1, .36]] : ($count < 2.6 ? [[-.36, .36], [.36, .4]] : [[-.42, .32], [.4, .36], [.02, .62]]);
        foreach ($spots as [$at, $low]) {
            if ((($across - $at) / .21) ** 2 + (($down - $low) / .11) ** 2 < 1) {
                return true;
            }
        }

        return false;
    }

    /** The belly edge: bars under the dark columns, checks, or nothing on a clear belly. */
    private function edge(float $x, float $v, int $column, float $grain): int
    {
        $checks = $this->a['checks'];
        if ($checks > 0.0 && $grain < .35 + .2 * $checks) {
            return ($column >> 1 & 1) === 0
                ? $this->pigments->colour(self::DARK * .8, .05, .03, true)
                : $this->pigments->colour(.0, .06, .02, false);
        }
        [$field] = $this->pattern->ground($x, $v);
        $bar = -.28 - .3 * $this->a['belly_clear'] - .15 * $this->a['pattern_amount'];

        return $field < $bar - .2 * $grain && $this->a['belly_clear'] < 1.6 && $this->a['clear'] < .5
            ? $this->pigments->colour(self::DARK * .75, .05, .03, true)
            : $this->pigments->colour(.02 + .05 * $grain * max(0.0, 1 - $this->a['belly_clear']), .1, .04, false);
    }
}
