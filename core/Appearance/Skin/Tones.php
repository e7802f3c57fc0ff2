<?php

declare(strict_types=1);

namespace Destino\Appearance\Skin;

use Destino\Appearance\Look;

/**
 * The colours of a look on the drawn animal, by absorption: R, G, B = white · exp(−Σ amount · coefficient of the pigment). More yellow
 * drives red out, so that a Pastel is yellow and not orange; a part of the black is always brown.
 */
final class Tones
{
    private const WHITE = [250.0, 247.0, 240.0];

    private const BLACK = [1.0, 1.07, 1.15];

    private const BROWN = [.46, .74, 1.06];

    private const YELLOW = [.03, .19, 1.28];

    private const RED = [.08, .66, .95];

    private const LAVENDER = [.44, .56, .36];

    /** Black, yellow and red of each part, and whether its black is that of the dark areas. */
    private const PARTS = [
        'light' => [.24, .44, .25, false], 'flank' => [.12, .34, .16, false], 'dusky' => [.46, .46, .28, false],
        'belly' => [.02, .1, .04, false], 'dark' => [2.3, .06, .07, true], 'deep' => [2.75, .04, .04, true],
        'smudge' => [.95, .3, .3, true], 'flame' => [.04, .26, .1, false],
    ];

    private readonly float $black;

    private readonly float $dusk;

    private readonly float $yellow;

    private readonly float $red;

    private readonly float $lavender;

    private readonly float $brown;

    private readonly float $left;

    public function __construct(Look $look)
    {
        $black = $look->at('black_depth');
        $this->black = self::curve($black, [0.0, .22, .52, 1.0, 1.18, 1.3, 1.4]);
        $this->dusk = self::curve($look->at('dusk'), [0.0, .06, .36, 1.0, 2.1, 3.6, 5.2])
            * ($black < -1 ? max(0.0, (3 + $black) / 2) : 1.0);
        $yellow = self::curve($look->at('yellow'), [0.0, .2, .58, 1.0, 1.5, 1.95, 2.3]);
        $this->brown = max(0.0, min(1.0, $look->at('brown') / 2));
        $this->yellow = $yellow * (1 - .4 * $this->brown);
        $this->red = self::curve($look->at('orange_red'), [0.0, .2, .55, 1.0, 1.4, 1.85, 2.25])
            * (1 - .26 * max(0.0, min(2.0, $look->at('yellow'))) / 1.5) * (1 - .5 * $this->brown);
        $this->lavender = max(0.0, $look->at('lavender'));
        $this->left = max(0.0, 1 - max(0.0, $look->at('fade')) / 3) ** 1.5;
    }

    /** @return string "#1f1a12" */
    public function of(string $part, float $lighter = 0.0): string
    {
        [$black, $yellow, $red, $isDark] = self::PARTS[$part];
        $k = $black * ($isDark ? $this->black : $this->dusk + .07 * $this->brown);
        $y = $yellow * ($isDark ? sqrt($this->yellow) : $this->yellow);
        $r = $red * ($isDark ? sqrt($this->red) : $this->red);
        $l = $this->lavender * ($isDark ? .62 * min(1.0, $black / 1.5) : .05);

        $left = $this->left * (1 - $lighter);

        return self::mixed(
            $k * $left, $y * $left, $r * $left, $l * $this->left, $this->brown,
        );
    }

    /** The belly, yellow to orange with more of its tint. */
    public function belly(float $tint): string
    {
        $tint = max(0.0, min(2.0, $tint)) * $this->left;

        return self::mixed(.02 * $this->dusk, .1 * $this->yellow + .22 * $tint, .04 * $this->red + .06 * $tint ** 2, 0.0, $this->brown);
    }

    /** Part of the way from one part to another. */
    public function between(string $one, string $other, float $share): string
    {
        [$a, $b] = [hexdec(substr($this->of($one), 1)), hexdec(substr($this->of($other), 1))];
        $mixed = 0;
        foreach ([16, 8, 0] as $shift) {
            $mixed |= (int) round(($a >> $shift & 255) + $share * (($b >> $shift & 255) - ($a >> $shift & 255))) << $shift;
        }

        return sprintf('#%06x', $mixed);
    }

    private static function mixed(float $k, float $y, float $r, float $l, float $brown): string
    {
        $brown = .16 + .84 * $brown;
        $colour = '#';
        foreach (self::WHITE as $c => $white) {
            $black = self::BLACK[$c] + $brown * (self::BROWN[$c] - self::BLACK[$c]);
            $value = $white * exp(-$k * $black - $y * self::YELLOW[$c] - $r * self::RED[$c] - $l * self::LAVENDER[$c]);
            $colour .= sprintf('%02x', (int) round($value));
        }

        return $colour;
    }

    /** @param list<float> $values at −3 to 3 */
    private static function curve(float $x, array $values): float
    {
        $x = max(-3.0, min(2.999999, $x)) + 3;
        $i = (int) $x;

        return $values[$i] + ($x - $i) * ($values[$i + 1] - $values[$i]);
    }
}
