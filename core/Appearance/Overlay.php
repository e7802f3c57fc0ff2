<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** What is drawn over the blotches of a skin: lines, stripes, threads, spots, specks. */
final readonly class Overlay
{
    /** @param array<string, float> $a amounts by axis */
    public function __construct(private Noise $noise, private array $a) {}

    /** How light a place is, with what is drawn over it. */
    public function drawn(float $field, float $x, float $v, float $t, float $grain): float
    {
        $a = $this->a;
        $isWavy = $a['lines'] > 0.0 || $a['web'] > 0.0 || $a['sideline'] > 0.0;
        $wave = $isWavy ? $this->noise->smooth($x * 1.2, $v < 0 ? 3.0 : 17.0) : 0.0;
        if ($a['lines'] > 0.0) {
            $near = min(abs($t - .13 - .04 * $wave), abs($t - .5 - .07 * $wave) * 1.15);
            $field = $near < .022 + .012 * $a['lines'] && $this->noise->smooth($x * .9, $v + 5) > -.75 + .1 * $a['lines'] ? -.4 : $field;
        }
        if ($a['web'] > 0.0 && $t > .1) {
            $gap = abs($x - floor($x) - .02 - .22 * $this->noise->smooth(floor($x), $v * 1.8 + 3));
            $field = $gap < .055 && $t < .62 + .3 * $wave ? -.4 : $field;
        }
        if ($a['sideline'] > 0.0 && abs($t - .46 - .03 * $wave) < .03 + .03 * $a['sideline']) {
            $field = -.4;
        }
        if ($a['dorsal_stripe'] > 0.0) {
            $field = $this->striped($field, $x, $t);
        }
        if ($a['backspots'] > 0.0 && $t < .34) {
            $spot = $this->noise->smooth($x * 2.6, $v * 7 + 13);
            $field = $spot > .5 - .12 * $a['backspots'] ? -.3 : ($spot > .12 ? max($field, .35) : $field);
        }
        if ($a['puzzle'] > 0.0) {
            $piece = abs($this->noise->smooth($x * 1.15, $v * 2.3 + 19));
            $field = $piece < .13 ? -.3 : ($field > -.5 ? .5 : $field);
        }
        if ($a['dots'] > 0.0 && $t < .07 && $x * 1.6 - floor($x * 1.6) < .3) {
            $field = $field > 0.0 ? -.3 : .4;
        }
        if ($a['fine'] > 0.0 && $grain < .11 * $a['fine'] && $t > .12) {
            $field = $field > 0.0 ? -.25 : .2;
        }

        return $field;
    }

    /** A stripe along the back. */
    private function striped(float $field, float $x, float $t): float
    {
        $a = $this->a;
        $half = .035 + .045 * $a['dorsal_stripe'] + .035 * $this->noise->smooth($x * 1.4, 29.0);
        $isGap = $a['dashed'] > 0.0 && $x * 1.9 - floor($x * 1.9) > .62;
        $isBroken = $a['dorsal_stripe'] < 1.0 && $this->noise->smooth($x * .8, 37.0) > $a['dorsal_stripe'] - .35;
        if ($t < $half && ! $isGap && ! $isBroken) {
            return max($field, .5);
        }

        return $t < $half + .08 && $a['dorsal_stripe'] > 1.2 ? min($field, -.35) : $field;
    }
}
