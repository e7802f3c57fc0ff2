<?php

declare(strict_types=1);

namespace App\Drawing;

use Destino\Appearance\Look;
use Destino\Appearance\Skin\Tones;

/** What stands on the head, in places from the snout (0) to the nape (1) and around it (0 the middle, 1 the lip). */
final readonly class SnakeHead
{
    private const WHOLE = [
        [-.02, -1], [.3, -1.15], [.7, -1.15], [1.12, -1.1], [1.12, 1.1], [.7, 1.15], [.3, 1.15], [-.02, 1],
    ];

    private const LIP = [[.0, .86], [.12, .82], [.34, .86], [.6, .88], [.9, .86], [1.05, .8], [1.05, 1.4], [.0, 1.4]];

    /** The dark side of the face, through the eye. */
    private const MASK = [
        [.06, .5], [.2, .52], [.34, .54], [.6, .56], [.9, .56], [1.14, .5], [1.14, .82], [.9, .86], [.6, .88], [.3, .84], [.1, .78],
    ];

    /** The dark mark on top, running out on the neck; one side of it. */
    private const STAMP = [[.03, 0], [.1, .2], [.3, .32], [.5, .36], [.75, .34], [1.0, .3], [1.24, .26]];

    private const CROWN = [[.3, 0], [.42, .22], [.68, .26], [.88, .18], [.95, 0]];

    private const GREY = [[.0, 0], [.1, .6], [.4, .85], [.8, .85], [1.05, .5], [1.1, 0]];

    private const FIGURE = [[.5, 0], [.6, .13], [.8, .12], [.9, 0]];

    private const ORANGE = [[.35, 0], [.45, .25], [.75, .28], [.95, 0]];

    private const SNOUT = [[.1, .22], [.15, .4], [.21, .34], [.17, .14]];

    /** The front of the dark mark, where it is pale. */
    private const FRONT = [[.02, 0], [.1, .19], [.3, .3], [.42, .2], [.46, 0]];

    /** Pale gaps that break the dark mark: from, to and half width of each, on one side or across. */
    private const GAPS = [[.24, .33, -.4, .1], [.46, .56, -.06, .42], [.66, .72, -.4, .02], [.8, .92, -.1, .4]];

    private const SPOTS = [[.38, .16], [.42, -.2], [.6, -.2], [.76, .18], [.5, .02]];

    /** Of a band that turns down by the eye. */
    private const DROP = [[.24, .5], [.42, .5], [.46, .74], [.4, .92], [.3, .92], [.28, .7]];

    private const NECK = [[.85, 0], [1.0, .16], [1.16, .1]];

    public function __construct(private Look $look, private Tones $tones, private string $size) {}

    /**
     * @param callable(float, float): array{float, float} $at a place of the head in the box
     * @param callable(list<array{float, float}>): string $line
     * @param callable(string, string, float): string $path
     */
    public function paths(callable $at, callable $line, callable $path): string
    {
        $shape = static fn (array $places): string => $line(
            array_map(static fn (array $place): array => $at($place[0], $place[1]), $places),
        );
        $both = static fn (array $places): string => $shape($places).$shape(self::other($places));
        $round = static fn (array $half): string => $shape([...$half, ...array_reverse(self::other($half))]);

        return $path($shape(self::WHOLE), $this->tones->of('light'), 1.0).$path($both(self::LIP), $this->tones->of('belly'), 1.0)
            .$path($both(self::MASK), $this->tones->of('dark'), 1.0).$path($both($this->band()), $this->tones->of('light', .25), 1.0)
            .($this->look->at('eyedrop') > .4 ? $path($both(self::DROP), $this->tones->of('light', .25), 1.0) : '')
            .$this->top($shape, $round, $path).($this->size === 'small' ? '' : $this->fine($both, $round, $path));
    }

    /**
     * @param list<array{float, float}> $places
     * @return list<array{float, float}> on the other side
     */
    private static function other(array $places): array
    {
        return array_map(static fn (array $place): array => [$place[0], -$place[1]], $places);
    }

    /** @return list<array{float, float}> the pale band over the eye */
    private function band(): array
    {
        $wide = .06 * $this->look->at('eyeband');

        return [
            [.02, .4], [.2, .42], [.5, .4], [.8, .36 - $wide], [1.2, .36 - $wide],
            [1.2, .52 + $wide], [.8, .54 + $wide], [.5, .52], [.2, .5],
        ];
    }

    /** A dark mark in pieces, with pale spots in them. */
    private function gaps(callable $shape, callable $path): string
    {
        $d = '';
        foreach (self::GAPS as [$from, $to, $one, $other]) {
            $middle = ($one + $other) / 2;
            $d .= $shape([[$from, $one], [$to, $one], [$to + .03, $middle], [$to, $other], [$from, $other], [$from - .03, $middle]]);
        }
        foreach (self::SPOTS as [$a, $v]) {
            $d .= $shape([[$a - .03, $v], [$a, $v + .07], [$a + .03, $v], [$a, $v - .07]]);
        }

        return $path($d, $this->tones->of('light', .15), min(1.0, .3 + .7 * $this->look->at('stampbroken')));
    }

    private function top(callable $shape, callable $round, callable $path): string
    {
        $look = $this->look;
        $blush = $look->at('head_blush');
        $paths = '';
        if ($look->at('stamp') > -1.6) {
            $opacity = max(.12, min(1.0, 1 + .5 * min(0.0, $look->at('stamp')))) * ($look->at('fade') > 2 ? .15 : 1.0);
            $fill = $blush > .3 ? $this->tones->between('dark', 'light', min(.75, .3 * $blush)) : $this->tones->of('dark');
            $paths .= $path($round(self::STAMP), $fill, $opacity);
        }
        $paths .= $blush > .3 ? $path($round(self::CROWN), $this->tones->of('light', .35), min(.85, .3 * $blush)) : '';
        $paths .= $blush < -.4 ? $path($round(self::CROWN), $this->tones->of('deep'), min(.9, .6 * -$blush)) : '';
        $paths .= $look->at('frontpatch') > .3 ? $path($round(self::FRONT), $this->tones->of('light', .2), .9) : '';
        $paths .= $look->at('stampbroken') > .3 ? $this->gaps($shape, $path) : '';
        $grey = $look->at('crowngrey');
        $paths .= $grey > .2 ? $path($round(self::GREY), '#8f9296', min(.8, .8 * $grey ** 2)) : '';
        $paths .= $look->at('crownpatch') > .3 ? $path($round(self::FIGURE), $this->tones->of('light'), 1.0) : '';

        return $paths.($look->at('crownorange') > .3 ? $path($round(self::ORANGE), '#d98a35', .7) : '');
    }

    private function fine(callable $both, callable $round, callable $path): string
    {
        $snout = $this->look->at('snout');

        $neck = $this->look->at('neck');
        $bare = $this->look->at('bare');

        return ($snout > .3 ? $path($both(self::SNOUT), $this->tones->of('light', .3), min(1.0, .6 * $snout)) : '')
            .($neck > .8 ? $path($round(self::NECK), $this->tones->of('light'), min(1.0, .35 * $neck)) : '')
            .($bare > .5 ? $path($round(self::CROWN), '#e6c3b2', min(.8, .4 * $bare)) : '');
    }

    /** @return array{string, string} colours of the iris and of the pupil */
    public static function iris(Look $look): array
    {
        $red = $look->at('redeye');

        return match (true) {
            $look->at('blueeye') > .5 => ['#7fb4d8', '#16304a'],
            $red > .8 => ['#d98a86', '#a51f2d'],
            $red > .45 => ['#a8645c', '#5a1620'],
            $red > .25 => ['#4a3823', '#4a1218'],
            $look->at('yellow') < -2.2 && $look->at('orange_red') < -1.5 => ['#8f9296', '#0b0b0b'],
            $look->at('irisgreen') > .6 => ['#8a8a4a', '#0b0b0b'],
            $look->at('irispale') > .6 => ['#a58757', '#0b0b0b'],
            default => ['#4a3823', '#0b0b0b'],
        };
    }
}
