<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * From amounts of pigment to a colour, by absorption: light that falls on white skin is taken away by each pigment,
 * R, G, B = white · exp(−Σ amount · coefficient). Taking a pigment away does by itself what it does to the animal.
 */
final class Pigments
{
    private const WHITE = [251.0, 247.0, 238.0];

    private const BLACK = [1.0, 1.1, 1.22];

    private const BROWN = [.37, .72, 1.14];

    private const YELLOW = [.02, .2, 1.3];

    private const RED = [.06, .78, .98];

    private const LAVENDER = [.46, .58, .33];

    /** Steps in which amounts are rounded, so that a drawing has few colours and none of them is off its hue. */
    private const STEPS = 6.0;

    private const FINE = 8.0;

    public readonly float $black;

    public readonly float $dusk;

    public readonly float $yellow;

    public readonly float $red;

    public readonly float $lavender;

    /** Share of the black that is brown. */
    public readonly float $brown;

    /** What is left of all pigment. */
    public readonly float $strength;

    /** @var array<int, int> colours by their rounded amounts: a drawing has few, and thousands of scales of each */
    private array $mixed = [];

    public function __construct(Look $look)
    {
        $black = $look->at('black_depth');
        $this->black = self::curve($black, [-3 => 0.0, -2 => .2, -1 => .58, 0 => 1.0, 1 => 1.22, 2 => 1.4, 3 => 1.5]);
        $this->dusk = self::curve($look->at('dusk'), [-3 => 0.0, -2 => .05, -1 => .35, 0 => 1.0, 1 => 2.3, 2 => 4.2, 3 => 6.5])
            * ($black < -1 ? self::curve($black, [-3 => 0.0, -2 => .5, -1 => 1.0]) : 1.0);
        $this->yellow = self::curve($look->at('yellow'), [-3 => 0.0, -2 => .22, -1 => .6, 0 => 1.0, 1 => 1.6, 2 => 2.3, 3 => 2.8]);
        $this->red = self::curve($look->at('orange_red'), [-3 => 0.0, -2 => .2, -1 => .55, 0 => 1.0, 1 => 1.85, 2 => 2.7, 3 => 3.5]);
        $this->lavender = max(0.0, $look->at('lavender'));
        $this->brown = max(0.0, min(1.0, $look->at('brown') / 2));
        $this->strength = (1 - max(0.0, min(1.0, $look->at('fade') / 3))) ** 1.6;
    }

    /**
     * @param float $black amount of black as in the wild type: about 2.3 in dark areas
     * @param bool $isDark whether it lies in a dark area: its black is moved by other genes than the light areas'
     * @return int RGB in one number
     */
    public function colour(float $black, float $yellow, float $red, bool $isDark): int
    {
        $k = $black * ($isDark ? $this->black : $this->dusk) * $this->strength;
        $y = $yellow * $this->yellow * $this->strength;
        $r = $red * $this->red * $this->strength;
        $l = ($isDark ? .62 * $this->lavender : .06 * $this->lavender) * min(1.0, $black / ($isDark ? 1.5 : .2)) * $this->strength;

        $steps = [
            (int) round($k * self::STEPS), (int) round($y * self::FINE), (int) round($r * self::FINE), (int) round($l * self::STEPS),
        ];
        $key = (($steps[0] << 12 | $steps[1]) << 12 | $steps[2]) << 12 | $steps[3];

        return $this->mixed[$key] ??= self::mixed(
            $steps[0] / self::STEPS, $steps[1] / self::FINE, $steps[2] / self::FINE, $steps[3] / self::STEPS, $this->brown,
        );
    }

    /** Colour of amounts as they are. */
    public static function mixed(float $k, float $y, float $r, float $l, float $brown): int
    {
        $colour = 0;
        for ($c = 0; $c < 3; $c++) {
            $black = self::BLACK[$c] + $brown * (self::BROWN[$c] - self::BLACK[$c]);
            $value = self::WHITE[$c] * exp(-$k * $black - $y * self::YELLOW[$c] - $r * self::RED[$c] - $l * self::LAVENDER[$c]);
            $colour = $colour << 8 | (int) round($value);
        }

        return $colour;
    }

    /** @param array<int, float> $points */
    private static function curve(float $x, array $points): float
    {
        $x = max(-3.0, min(3.0, $x));
        $last = null;
        foreach ($points as $at => $value) {
            if ($x <= $at) {
                return $last === null ? $value : $last[1] + ($value - $last[1]) * ($x - $last[0]) / ($at - $last[0]);
            }
            $last = [$at, $value];
        }

        return $last[1] ?? 0.0;
    }
}
