<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * The head from above, snout at the left, in its own measure: 100 long, the middle at 0, at most 30 to either side. Each part
 * is a closed, rounded outline of one colour, drawn one over the other.
 *
 * @phpstan-type Part array{part: string, colour: int, points: list<array{float, float}>}
 */
final readonly class Head
{
    private const DARK = 2.2;

    private const OUTLINE = [[1, 0], [2, -7], [9, -13], [24, -17], [44, -24], [64, -30], [80, -29], [92, -22], [104, -17]];

    private const CHEEK = [
        [6, -11], [22, -15.5], [44, -22], [66, -27.5], [84, -25], [94, -17], [78, -16], [58, -15], [36, -11.5], [16, -8.5],
    ];

    private const BAND = [
        [3, -6], [18, -9], [38, -12.5], [60, -16], [80, -18], [106, -14], [106, -8], [84, -10.5], [62, -9.5], [40, -7.5], [20, -5], [4, -3],
    ];

    private const STAMP = [
        [5, 0], [14, -4], [30, -6], [48, -8.5], [66, -10], [84, -9], [97, -6], [106, -4], [106, 4], [97, 6], [84, 9], [66, 10], [48, 8.5],
        [30, 6], [14, 4],
    ];

    private Pigments $pigments;

    public function __construct(private Look $look)
    {
        $this->pigments = new Pigments($look);
    }

    /** @return list<Part> what is behind first */
    public function parts(): array
    {
        $l = $this->look;
        $crown = max(-1.0, min(2.0, $l->at('head_blush')));
        $stamp = max(-2.0, min(1.2, $l->at('stamp')));
        $whole = [...self::OUTLINE, ...array_reverse(self::mirrored(self::OUTLINE))];
        $lip = $this->pigments->colour(.05, .22, .1, false);
        $cheek = $this->pigments->colour(self::DARK * max(.1, .8 - .18 * $crown), .05, .03, true);
        $band = $this->pigments->colour(max(0.0, .16 - .06 * $crown), .5, .27, false);
        $black = self::DARK * max(.04, min(1.1, .98 + .2 * $stamp + ($stamp < 0 ? .2 * $stamp : 0.0) - .17 * $crown));
        $top = $l->at('crowngrey') > 0.0
            ? Pigments::mixed(.4, 0, 0, .3, 0)
            : $this->pigments->colour($black, $stamp < -.4 ? .25 : .05, $stamp < -.4 ? .1 : .03, true);
        $wide = 1 + .35 * max(-.6, min(1.3, $l->at('eyeband')));
        $parts = [
            ['part' => 'head', 'colour' => $lip, 'points' => self::points($whole)],
            ...$this->both('cheek', $cheek, self::CHEEK),
            ...$this->both(
                'band', $band,
                array_map(static fn (array $p): array => [$p[0], $p[1] - ($p[1] < -9 ? 2.2 * ($wide - 1) * 2 : 0)], self::BAND),
            ),
            ['part' => 'stamp', 'colour' => $top, 'points' => self::points(self::STAMP)],
        ];
        array_push($parts, ...$this->marks($band, $top));

        return [...$parts, ...$this->eyes()];
    }

    /** @return list<Part> pale spots at the snout, or the nostrils alone */
    private function snout(int $dark): array
    {
        if ($this->look->at('snout') <= 0.0) {
            return [self::spot('nostril', $dark, 6, -4.4, 1.3, .9), self::spot('nostril', $dark, 6, 4.4, 1.3, .9)];
        }
        $pale = Pigments::mixed(0, .125, 0, 0, 0);

        return [self::spot('snout', $pale, 10, -3.4, 2.6, 1.7), self::spot('snout', $pale, 10, 3.4, 2.6, 1.7)];
    }

    /** @return list<Part> */
    private function marks(int $light, int $dark): array
    {
        $l = $this->look;
        $parts = [];
        if ($l->at('stampbroken') > 0.0) {
            foreach ([[40, -3], [56, 3.5], [70, -3.5], [84, 2.5]] as $at) {
                $parts[] = self::spot('stamp', $light, $at[0], $at[1], 4.2, 2.6);
            }
        }
        if ($l->at('crownpatch') > 0.0) {
            $parts[] = [
                'part' => 'stamp', 'colour' => $light,
                'points' => self::points([[44, 0], [54, -5.5], [66, -3], [78, -5.5], [90, 0], [78, 5.5], [66, 3], [54, 5.5]]),
            ];
        }
        if ($l->at('head_blush') > 1.3 || $l->at('stamp') < -.9) {
            $pale = $this->pigments->colour(.12, .35, .16, false);
            $parts[] = [
                'part' => 'stamp', 'colour' => $pale, 'points' => self::points([[6, 0], [16, -4], [30, -4.5], [38, 0], [30, 4.5], [16, 4]]),
            ];
        }
        if ($l->at('neck') > 0.0) {
            $parts[] = [
                'part' => 'neck', 'colour' => $light,
                    'points' => self::points([[76, 0], [94, -9], [108, -10], [98, 0], [108, 10], [94, 9]]),
            ];
        }
        array_push($parts, ...$this->snout($dark));
        if ($l->at('bare') > 0.0) {
            $parts[] = self::spot(
                'crown', Pigments::mixed(.33, .25, .375, 0, .6), 30, 0, $l->at('bare') > 1.4 ? 22 : 12, $l->at('bare') > 1.4 ? 10 : 5.5,
            );
        }

        return $parts;
    }

    /** @return list<Part> */
    private function eyes(): array
    {
        $iris = match (true) {
            $this->look->at('redeye') > .6 => 0xC8556A,
            $this->look->at('redeye') > .2 => 0x8A3A46,
            $this->look->at('blueeye') > .5 => 0x6E9CC4,
            $this->look->at('black_depth') < -.8 && $this->look->at('fade') < 1.5 => 0x7A6A4A,
            default => 0x3A2C20,
        };
        $pupil = $this->look->at('redeye') > .6 ? 0xE88A96 : 0x0B0A0A;

        return [
            self::spot('eye', $iris, 33, -17.2, 5.4, 4.2), self::spot('eye', $iris, 33, 17.2, 5.4, 4.2),
            self::spot('pupil', $pupil, 33, -17.6, 1.5, 3.2), self::spot('pupil', $pupil, 33, 17.6, 1.5, 3.2),
        ];
    }

    /** @return Part */
    private static function spot(string $part, int $colour, float $x, float $y, float $long, float $wide): array
    {
        $points = [];
        for ($k = 0; $k < 8; $k++) {
            $points[] = [$x + 1.08 * $long * cos($k * M_PI / 4), $y + 1.08 * $wide * sin($k * M_PI / 4)];
        }

        return ['part' => $part, 'colour' => $colour, 'points' => $points];
    }

    /**
     * @param list<array{float|int, float|int}> $points of the upper side
     * @return list<Part>
     */
    private function both(string $part, int $colour, array $points): array
    {
        return [
            ['part' => $part, 'colour' => $colour, 'points' => self::points($points)],
            ['part' => $part, 'colour' => $colour, 'points' => self::points(self::mirrored($points))],
        ];
    }

    /**
     * @param list<array{float|int, float|int}> $points
     * @return list<array{float, float}>
     */
    private static function points(array $points): array
    {
        return array_map(static fn (array $point): array => [(float) $point[0], (float) $point[1]], $points);
    }

    /**
     * @param list<array{float|int, float|int}> $points
     * @return list<array{float, float}>
     */
    private static function mirrored(array $points): array
    {
        return array_map(static fn (array $point): array => [(float) $point[0], -(float) $point[1]], $points);
    }
}
