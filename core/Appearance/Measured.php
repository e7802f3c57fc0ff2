<?php

declare(strict_types=1);

namespace Destino\Appearance;

use InvalidArgumentException;

/**
 * What can be measured of a look as it is drawn: lightness and colours in CIE L*a*b* of its dark and its light areas, and how much is
 * dark or white. Where the pattern is dark is told by the same pattern in the colours of a normal.
 */
final class Measured
{
    private const COLUMNS = 30;

    private const ROWS = 4;

    /** A scale of a normal that is darker than this belongs to the dark pattern. */
    private const DARK = 42.0;

    /** A scale that is lighter than this in the colours of a normal has no pigment: it is neither light nor dark of the pattern. */
    private const PATCH = 90.0;

    /** White: as light as this, and as far from any colour. */
    private const WHITE = 88.0;

    private const PALE = 14.0;

    /** Patterns that are remembered: what is tried on one base has the same one over and over. */
    private const KEPT = 200;

    /** Axes that colour what is there, and put nothing in another place. */
    private const COLOURS = ['black_depth', 'dusk', 'yellow', 'orange_red', 'lavender', 'brown', 'fade', 'blush'];

    /** @var array<string, array<string, array{float, float, float}>> */
    private static array $patterns = [];

    /**
     * @param float $contrast difference in lightness of light and dark areas, either way
     * @param float $lightness mean over the skin
     * @param float $yellow b* of the light areas
     * @param float $red a* of the light areas
     * @param float $colour how far the light areas are from grey
     * @param float $dark share of the skin that is drawn darker than its light areas
     * @param float $white share of the skin that is white
     */
    private function __construct(
        public readonly float $contrast, public readonly float $lightness, public readonly float $yellow,
        public readonly float $red, public readonly float $colour,
        public readonly float $dark, public readonly float $white,
    ) {}

    public static function of(Look $look): self
    {
        $own = self::colours($look);
        $pattern = self::patternOf($look);
        $sums = array_fill_keys(['dark', 'light', 'patch'], [0, 0.0, 0.0, 0.0]);
        $white = 0;
        foreach ($own as $place => [$l, $a, $b]) {
            $area = match (true) {
                $pattern[$place][0] < self::DARK => 'dark',
                $pattern[$place][0] < self::PATCH => 'light',
                default => 'patch',
            };
            $sums[$area] = [$sums[$area][0] + 1, $sums[$area][1] + $l, $sums[$area][2] + $a, $sums[$area][3] + $b];
            $white += $l >= self::WHITE && hypot($a, $b) <= self::PALE ? 1 : 0;
        }
        [$dark, $light, $patch] = array_map(
            static fn (array $sum): ?array => $sum[0] === 0 ? null : [$sum[1] / $sum[0], $sum[2] / $sum[0], $sum[3] / $sum[0]],
            array_values($sums),
        );
        $light ??= $patch ?? $dark ?? [0.0, 0.0, 0.0];
        $contrast = $dark === null ? 0.0 : $light[0] - $dark[0];
        $all = count($own);

        return new self(
            abs($contrast), array_sum(array_column($sums, 1)) / $all, $light[2], $light[1], hypot($light[1], $light[2]),
            $contrast > 0 ? $sums['dark'][0] / $all * min(1.0, $contrast / self::PALE) : 0.0, $white / $all,
        );
    }

    /** A measure by its name. */
    public function value(string $name): float
    {
        return match ($name) {
            'contrast' => $this->contrast,
            'lightness' => $this->lightness,
            'yellow' => $this->yellow,
            'red' => $this->red,
            'colour' => $this->colour,
            'dark' => $this->dark,
            'white' => $this->white,
            default => throw new InvalidArgumentException("Nothing called {$name} is measured of a look."),
        };
    }

    /** @return array<string, array{float, float, float}> by scale, in the colours of a normal */
    private static function patternOf(Look $look): array
    {
        $values = array_diff_key($look->values, array_flip(self::COLOURS));
        $key = serialize([$values, $look->seed]);
        if (! isset(self::$patterns[$key])) {
            self::$patterns = count(self::$patterns) > self::KEPT ? [] : self::$patterns;
            self::$patterns[$key] = self::colours(new Look($values, [], $look->sureness, [], $look->days, $look->seed));
        }

        return self::$patterns[$key];
    }

    /** @return array<string, array{float, float, float}> by scale */
    private static function colours(Look $look): array
    {
        $colours = [];
        foreach ((new SkinMap($look, self::COLUMNS, self::ROWS))->scales() as $colour => $scales) {
            $lab = Colour::lab($colour);
            foreach ($scales as [$column, $row]) {
                $colours["{$column} {$row}"] = $lab;
            }
        }

        return $colours;
    }
}
