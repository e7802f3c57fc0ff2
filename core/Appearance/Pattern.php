<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * Where on the skin what is: fields over the body, laid flat. A place is told by x, along the body in blotches from the
 * neck, and v, from -1 (one belly edge) over 0 (the middle of the back) to 1 (the other). A field above 0 is light.
 */
final class Pattern
{
    /** Flank blotches on one side. */
    public const BLOTCHES = 15;

    private readonly Noise $noise;

    /** @var array<int, list<array{float, float, float}>> centre, half width and top of each blotch, by side */
    private array $blotches = [];

    /**
     * @var array<int, list<array{float, float, float, float}>> centre, half length, half width and offset of the light marks of the
     *     back, by blotch
     */
    private array $marks = [];

    private readonly float $round;

    private readonly float $point;

    /** @var list<array{float, float}> where white patches begin and end */
    private array $patches = [];

    public function __construct(private readonly Look $look)
    {
        $this->noise = Noise::of($look->seed + 7);
        $this->round = max(0.0, min(1.0, $look->at('round')));
        $this->point = max(0.0, $look->at('point'));
        foreach ([-1, 1] as $side) {
            $this->blotches[$side] = $this->laidOut($side);
        }
        $this->marks = $this->marksOfTheBack();
        $this->patches = $this->whitePatches();
    }

    /** @return list<array{float, float, float}> */
    private function laidOut(int $side): array
    {
        $n = $this->noise;
        $loose = max(0.0, 1 - $this->look->at('regular')) * max(.3, 1 - .4 * $this->look->at('banding'));
        $size = $this->look->at('blotch');
        $joined = $this->look->at('joined');
        $all = [];
        $at = -1.1 + .5 * $n->at(7, 11 + $side);
        for ($i = 0; $i < self::BLOTCHES + 3; $i++) {
            $gap = 1 + $loose * .62 * ($n->at($i + 40, 3 + $side) - .5);
            $at += $gap;
            $pull = ($i & 1) === 0 ? .16 * $joined : -.16 * $joined;
            $wide = $gap * (.37 + $loose * .1 * ($n->at($i + 90, 5 + $side) - .5)) + .05 * $size;
            $top = .3 - .07 * $size + $loose * .2 * ($n->at($i + 150, 9 + $side) - .45);
            $all[] = [$at + $pull, max(.12, $wide), $top];
        }

        return $all;
    }

    /** @return array<int, list<array{float, float, float, float}>> */
    private function marksOfTheBack(): array
    {
        $n = $this->noise;
        $marks = [];
        $at = -.4;
        $k = 0;
        while ($at < self::BLOTCHES + 1) {
            $long = .16 + .42 * $n->at($k, 61);
            $at += $long + .12 + .55 * $n->at($k, 67) ** 2;
            if ($n->at($k, 71) < .82) {
                $mark = [$at, $long, .08 + .08 * $n->at($k, 73), .09 * ($n->at($k, 79) - .5)];
                for ($near = (int) floor($at - 2 * $long); $near <= $at + 2 * $long; $near++) {
                    $marks[$near][] = $mark;
                }
            }
            $at += $long;
            $k++;
        }

        return $marks;
    }

    /** @return list<array{float, float}> */
    private function whitePatches(): array
    {
        $amount = $this->look->at('white_area');
        if ($amount <= .2) {
            return [];
        }
        $share = min(.97, .12 + .2 * $amount + .06 * max(0.0, $amount - 2) * $amount); // of the body that is white
        $patches = [];
        $count = $share > .85 ? 1 : 3;
        $room = self::BLOTCHES / $count;
        for ($k = 0; $k < $count; $k++) {
            $long = $room * $share * (.75 + .5 * $this->noise->at($k, 83));
            $from = $k * $room + ($room - $long) * $this->noise->at($k, 89) + ($k === 0 ? .3 : 0.0);
            $patches[] = [$from, $from + $long];
        }

        return $patches;
    }

    /**
     * How far inside (above 0) or outside a light area a place lies, flank and back together, before anything else.
     *
     * @return array{float, float, float, int} the field, place within the blotch across (in half widths) and down (0 top, 1 belly), number of the blotch
     */
    public function ground(float $x, float $v): array
    {
        $t = abs($v);
        $side = $v < 0 ? -1 : 1;
        $i = $this->near($side, $x);
        $best = [-9.0, 0.0, 0.0, $i];
        for ($k = max(0, $i - 1); $k <= min(self::BLOTCHES + 2, $i + 1); $k++) {
            [$centre, $wide, $top] = $this->blotches[$side][$k];
            $dx = $x - $centre;
            if ($dx > 1.5 || $dx < -1.5) {
                continue;
            }
            $down = ($t - $top) / (1.04 - $top);
            $half = $wide * $this->outline($down);
            $field = $down < 0 ? 3.2 * $down + min(0.0, 1 - abs($dx) / $wide) * .6 : min(1 - abs($dx) / max(.04, $half), 4 * $down + .12);
            if ($field > $best[0]) {
                $best = [$field, $dx / $wide, $down, $k];
            }
        }

        return $best;
    }

    /** Number of the last blotch whose centre lies before a place. */
    private function near(int $side, float $x): int
    {
        $i = max(0, min(self::BLOTCHES + 2, (int) $x));
        $blotches = $this->blotches[$side];
        while ($i < self::BLOTCHES + 2 && $blotches[$i + 1][0] < $x) {
            $i++;
        }
        while ($i > 0 && $blotches[$i][0] > $x) {
            $i--;
        }

        return $i;
    }

    /** Half width of a blotch by how far down it is, as a share of its widest. */
    private function outline(float $down): float
    {
        $down = max(0.0, min(1.0, $down));
        $head = $down < .3 ? .5 + .5 * sin($down / .3 * M_PI / 2) : 1 - .42 * ($down - .3) / .7;
        if ($this->round > 0.0) {
            $head += $this->round * (sqrt(max(.06, 1 - (1.9 * $down - .92) ** 2)) - $head);
        }

        return $head * (1 - .52 * $this->point * $down * $down);
    }

    /** The light marks along the middle of the back. */
    public function back(float $x, float $v): float
    {
        $best = -1.2;
        foreach ($this->marks[(int) floor($x)] ?? [] as [$centre, $long, $wide, $offset]) {
            $dx = ($x - $centre) / $long;
            if ($dx > -2 && $dx < 2) {
                $dv = ($v - $offset) / $wide;
                $best = max($best, 1 - sqrt($dx * $dx + $dv * $dv));
            }
        }

        return $best;
    }

    /** How far inside a white patch a place lies. */
    public function white(float $x, float $v): float
    {
        $best = -1.0;
        $edge = $this->patches === []
            ? 0.0
            : .5 * $this->noise->smooth($x * 1.3, $v * 2.5 + 31) + .25 * $this->noise->smooth($x * 3.1, $v * 6 + 57);
        foreach ($this->patches as [$from, $to]) {
            $best = max($best, min($x - $from, $to - $x) + $edge);
        }
        $spatter = $this->look->at('spatter');
        if ($spatter > 0.0) {
            $best = max($best, abs($v) - 1.06 + .3 * $spatter * max(0.0, $this->noise->smooth($x * .8, $v < 0 ? 11 : 23) + .35));
        }

        return $best;
    }

    public function noise(): Noise
    {
        return $this->noise;
    }
}
