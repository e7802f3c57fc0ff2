<?php

declare(strict_types=1);

namespace Destino\Appearance\Skin;

use Destino\Appearance\Look;
use Destino\Appearance\Noise;

/** Where the skin is light and where it is dark: a field over the places of the skin, above 0 light, below 0 dark. */
final class LightField
{
    private const GROUND = -.62;

    /** What is laid over blotches and back. */
    private const AXES = [
        'clear', 'banding', 'pattern_breakup', 'pattern_amount', 'back', 'backspots', 'puzzle', 'jagged', 'belly_clear',
    ];

    /** Bent grids that are remembered: they depend on the individual only. */
    private const KEPT = 40;

    /** @var array<string, array{array<int, array<int, float>>, array<int, array<int, float>>}> */
    private static array $bent = [];

    /** @var array<int, array<int, float>> by column (along the body) and row (from one belly edge to the other) */
    public array $values;

    /** @var array<int, array<int, float>> places along the body as the noise bends them, by column and row */
    private array $x = [];

    /** @var array<int, array<int, float>> places around it */
    private array $v = [];

    private readonly Noise $noise;

    /** @var list<array{float, float, float, int, float}> blotches: place, half width, top, side, whether it is free of the belly */
    public array $blotches = [];

    private readonly float $loose;

    private readonly float $pinch;

    /** The first and the last column that are worked out. */
    public readonly int $first;

    public readonly int $last;

    /** @param array{float, float}|null $part of the body that is wanted, in blotches from the neck; null for all of it */
    public function __construct(
        private readonly Look $look, private readonly int $count, public readonly int $columns, public readonly int $rows,
        ?array $part = null,
    ) {
        $column = fn (float $x): int => (int) round(($x + .5) / ($count + .5) * ($columns - 1));
        $this->first = $part === null ? 0 : max(0, $column($part[0]) - 1);
        $this->last = $part === null ? $columns - 1 : min($columns - 1, $column($part[1]) + 1);
        $this->noise = Noise::of($look->seed + 1);
        $this->loose = (1 - min(1.0, max(0.0, $look->at('regular')))) * max(.25, 1 - .45 * max(0.0, $look->at('banding')));
        $this->pinch = min(.75, .6 * max(0.0, $look->at('waist')));
        $this->values = array_fill($this->first, $this->last - $this->first + 1, array_fill(0, $rows, self::GROUND));
        $this->bend();
        $this->lay();
        $this->back();
        $this->finish();
    }

    /** The place along the body of a column, in blotches. */
    public function along(float $column): float
    {
        return -.5 + ($this->count + .5) * $column / ($this->columns - 1);
    }

    /** The place around the body of a row. */
    public function around(float $row): float
    {
        return -1 + 2 * $row / ($this->rows - 1);
    }

    private function bend(): void
    {
        $restless = max(0.0, $this->look->at('pattern_breakup'));
        $key = "{$this->look->seed} {$this->count} {$this->columns} {$this->first} {$this->last} {$this->rows} {$restless}";
        if (isset(self::$bent[$key])) {
            [$this->x, $this->v] = self::$bent[$key];

            return;
        }
        for ($i = $this->first; $i <= $this->last; $i++) {
            $x = $this->along($i);
            for ($j = 0; $j < $this->rows; $j++) {
                $v = $this->around($j);
                $this->x[$i][$j] = $x + (.13 + .34 * $restless) * $this->noise->smooth(1.5 * $x + 31, 2.6 * $v + 17);
                $this->v[$i][$j] = $v + (.05 + .11 * $restless) * $this->noise->smooth(1.9 * $x + 61, 2.2 * $v + 43);
            }
        }
        self::$bent = count(self::$bent) > self::KEPT ? [] : self::$bent;
        self::$bent[$key] = [$this->x, $this->v];
    }

    /** Flank blotches, each side on its own. */
    private function lay(): void
    {
        $look = $this->look;
        $isRound = $look->at('round') > .5;
        foreach ([-1, 1] as $side) {
            $x = .45 + .25 * $this->noise->at(7, $side + 3);
            for ($k = 0; $x < $this->count + .4; $k++) {
                $chance = fn (int $what): float => 2 * $this->noise->at($k * 5 + $what, $side + 9) - 1;
                $isFree = $isRound || $chance(1) > .34 || $look->at('floating') * .8 > $chance(2) + 1;
                $pull = .17 * $look->at('joined') * ($k % 2 === 0 ? 1 : -1);
                $width = .355 + .065 * $this->loose * $chance(3) + .05 * $look->at('blotch') + .09 * max(0.0, $look->at('fused'));
                $top = .24 + .06 * $chance(4) - .05 * $look->at('blotch') - ($look->at('back') < 0 ? .05 * -$look->at('back') : 0.0);
                $this->blotches[] = [$x + $pull, $width, $top, $side, $isFree ? 1.0 : 0.0];
                $this->blotch($x + $pull, $width, $top, $side, $isFree, .38 + .1 * $chance(5) + .4 * max(0.0, $look->at('point')));
                if ($chance(6) > .35 && ! $isRound && $look->at('back') < .4) {
                    $this->ellipse($x, $side * ($top - .02), .13, .16, .75);
                }
                $x += 1 + .275 * $this->loose * $chance(7);
            }
        }
    }

    private function blotch(float $x, float $width, float $top, int $side, bool $isFree, float $chin): void
    {
        $bottom = $isFree ? ($this->look->at('round') > .5 ? .74 : .8) : 1.02;
        foreach ($this->box($x, $width * 1.6 + .3) as $i) {
            for ($j = 0; $j < $this->rows; $j++) {
                $t = $side * $this->v[$i][$j];
                if ($t < $top - .2) {
                    continue;
                }
                $d = ($t - $top) / ($bottom - $top);
                $w = $width * ($d > .4 ? max(.15, 1 - $chin * ($d - .4) / .6) : 1.0);
                $e = $d < .4 ? (.4 - $d) / .4 : ($isFree ? max(0.0, ($d - .55) / .45) : 0.0);
                $this->join($i, $j, 1 - hypot(($this->x[$i][$j] - $x) / $w, $e));
            }
        }
    }

    /** Blotches grow together where they are near. */
    private function join(int $i, int $j, float $value): void
    {
        $before = $this->values[$i][$j];
        $apart = abs($before - $value);
        $this->values[$i][$j] = max($before, $value) + ($apart < .3 && $value > self::GROUND - .3 ? (.3 - $apart) ** 2 / 1.2 : 0.0);
    }

    private function ellipse(float $x, float $v, float $long, float $wide, float $peak): void
    {
        foreach ($this->box($x, $long + .3) as $i) {
            for ($j = 0; $j < $this->rows; $j++) {
                $dx = ($this->x[$i][$j] - $x) / $long;
                $own = $wide * (1 - $this->pinch * max(0.0, 1 - 2 * abs($dx))); // marks pinched in the middle
                $value = $peak * (1 - hypot($dx, ($this->v[$i][$j] - $v) / $own));
                $value > -.3 ? $this->join($i, $j, $value) : null;
            }
        }
    }

    /** @return list<int> columns near a place */
    private function box(float $x, float $reach): array
    {
        $step = ($this->count + .5) / ($this->columns - 1);
        $from = max($this->first, (int) floor(($x - $reach + .5) / $step) - 1);
        $to = min($this->last, (int) ceil(($x + $reach + .5) / $step) + 1);

        return $from > $to ? [] : range($from, $to);
    }

    /** Light marks on the dark back. */
    private function back(): void
    {
        $wide = max(0.0, $this->look->at('back'));
        $x = .3;
        for ($k = 0; $x < $this->count; $k++) {
            $chance = fn (int $what): float => $this->noise->at($k * 11 + $what, 5);
            $long = .22 + .5 * $chance(1);
            if ($chance(2) < .86 - .5 * $wide) {
                $this->ellipse($x + $long, .06 * ($chance(3) - .5), $long, (.085 + .06 * $chance(4)) * (1 - .35 * min(1.0, $wide)), 1.0);
            }
            $x += 2 * $long + .25 + .35 * $chance(5);
        }
    }

    private function finish(): void
    {
        $look = $this->look;
        $of = [];
        foreach (self::AXES as $axis) {
            $of[$axis] = $look->at($axis);
        }
        for ($i = $this->first; $i <= $this->last; $i++) {
            for ($j = 0; $j < $this->rows; $j++) {
                $this->values[$i][$j] = $this->at($i, $j, $of);
            }
        }
    }

    /** @param array<string, float> $of amounts */
    private function at(int $i, int $j, array $of): float
    {
        [$x, $v, $f] = [$this->x[$i][$j], $this->v[$i][$j], $this->values[$i][$j]];
        $t = abs($v);
        if ($of['clear'] > 0) {
            $f += max(0.0, min(1.0, ($t - .27 - .05 * $this->noise->smooth(1.3 * $x, 5.0)) / .12)) * 1.5 * $of['clear'];
        }
        if ($of['banding'] > 0) {
            $f = $this->banded($x, $v, $f, $of['banding']);
        }
        $f = max(self::GROUND, $f);
        $f += (.1 + .16 * $of['pattern_breakup']) * $this->noise->smooth(2.6 * $x + 7, 5 * $v + 3);
        if ($of['pattern_breakup'] > .4) {
            $f += .14 * $of['pattern_breakup'] * $this->noise->smooth(5.2 * $x + 3, 9 * $v + 11);
        }
        if ($of['pattern_breakup'] > 1.9) {
            $f += .3 * $this->noise->smooth(8 * $x, 15 * $v);
        }
        $amount = $of['pattern_amount'];
        $f -= ($amount < 0 && $of['banding'] > 0 ? .62 : 1.0) * .25 * $amount + .7 * max(0.0, $amount - 2.2);
        if ($amount < -1.8) {
            $f += 1.5 * (-1.8 - $amount);
        }
        if ($of['back'] !== 0.0) {
            $f -= ($of['back'] > 0 ? .8 : .5) * $of['back'] * max(0.0, 1 - $t / .44);
        }
        if ($of['backspots'] > 0 && $t < .36) {
            $f += 1.1 * $of['backspots'] * max(0.0, $this->noise->smooth(1.7 * $x + 5, 4 * $v)) * (1 - $t / .4);
        }
        if ($of['puzzle'] > 0) {
            $share = min(1.0, $of['puzzle']);
            $f = (1 - $share) * $f + $share * 2.6 * (abs($this->noise->smooth(1.25 * $x + 9, 2.4 * $v + 4)) - .14);
        }
        if ($of['jagged'] > 0) {
            $f += .15 * $of['jagged'] * (2 * $this->noise->at($i, $j) - 1);
        }

        return $this->ends($i, $j, $f, $of['belly_clear']);
    }

    private function banded(float $x, float $v, float $f, float $banding): float
    {
        $place = $x - .5 - floor($x - .5);
        $band = 2.3 * (abs($place - .5) * 2 * .5 - .2 - .04 * abs($v));
        $share = min(1.0, .62 * $banding) * (abs($v) < .25 ? .75 : 1.0);

        return (1 - $share) * $f + $share * -$band * -1;
    }

    /** A light belly edge, and a neck that passes into the stripes of the head. */
    private function ends(int $i, int $j, float $f, float $clear): float
    {
        $t = abs($this->around($j));
        $x = $this->along($i);
        if ($t > ($clear > 1 ? .925 : .955)) {
            return .5;
        }
        if ($x < 1) {
            $share = max(0.0, min(1.0, 1 - $x));
            $f = (1 - $share) * $f + $share * (.32 - 2.6 * abs($t - .42));
        }

        return $f;
    }

    /** The field at a place, for what is laid on it. */
    public function value(float $x, float $v): float
    {
        $i = (int) max($this->first, min($this->last, round(($x + .5) / ($this->count + .5) * ($this->columns - 1))));
        $j = (int) max(0, min($this->rows - 1, round(($v + 1) / 2 * ($this->rows - 1))));

        return $this->values[$i][$j];
    }

    public function noise(): Noise
    {
        return $this->noise;
    }
}
