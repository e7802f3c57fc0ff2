<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * How far apart two drawings are to the eye: the mean distance of the colours of the same scales, in CIE L*a*b*, of the
 * typical animals. Genes that keepers cannot tell apart lie below SEEN; the trainer asks only what lies twice as far apart.
 */
final readonly class Distance
{
    /** A mean over all scales: a few that differ much count as much as many that differ a little. */
    public const SEEN = 3.5;

    private const COLUMNS = 64;

    private const ROWS = 7;

    /** @var array<string, int> */
    private array $colours;

    /** The colours of a look, worked out once however many others it is compared with. */
    public function __construct(Look $look)
    {
        $this->colours = self::colours($look);
    }

    public static function between(Look $one, Look $other): float
    {
        return (new self($one))->to($other);
    }

    public function to(Look $other): float
    {
        return $this->toThat(new self($other));
    }

    public function toThat(self $other): float
    {
        $sum = 0.0;
        foreach ($this->colours as $place => $colour) {
            $sum += $colour === $other->colours[$place] ? 0.0 : self::apart($colour, $other->colours[$place]);
        }

        return $sum / count($this->colours);
    }

    /** @return array<string, int> colour by scale, those of the head among them */
    private static function colours(Look $look): array
    {
        $colours = [];
        foreach ((new SkinMap($look, self::COLUMNS, self::ROWS))->scales() as $colour => $scales) {
            foreach ($scales as [$column, $row]) {
                $colours["{$column} {$row}"] = $colour;
            }
        }
        $parts = ['head' => 6, 'stamp' => 10, 'band' => 4, 'cheek' => 4, 'snout' => 4, 'neck' => 6, 'crown' => 4, 'eye' => 3];
        $colours += array_fill_keys(array_map(static fn (string $part, int $i): string => "{$part} {$i}", array_keys($parts), $parts), 0);
        foreach ((new Head($look))->parts() as $part) {
            $weight = $parts[$part['part']] ?? 0;
            if ($weight > 0) {
                $colours["{$part['part']} {$weight}"] = $part['colour'];
            }
        }

        return $colours;
    }

    private static function apart(int $one, int $other): float
    {
        [$a, $b] = [self::lab($one), self::lab($other)];

        return sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
    }

    /** @return array{float, float, float} CIE L*a*b* of an sRGB colour (IEC 61966-2-1, D65) */
    private static function lab(int $colour): array
    {
        $linear = static function (int $value): float {
            $share = $value / 255;

            return $share <= .04045 ? $share / 12.92 : (($share + .055) / 1.055) ** 2.4;
        };
        [$r, $g, $b] = [$linear($colour >> 16 & 255), $linear($colour >> 8 & 255), $linear($colour & 255)];
        $f = static fn (float $t): float => $t > .008856 ? $t ** (1 / 3) : 7.787 * $t + 16 / 116;
        $x = $f((.4124 * $r + .3576 * $g + .1805 * $b) / .95047);
        $y = $f(.2126 * $r + .7152 * $g + .0722 * $b);
        $z = $f((.0193 * $r + .1192 * $g + .9505 * $b) / 1.08883);

        return [116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z)];
    }
}
