<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * Something that a keeper wishes of a look. What can be measured on the drawing is measured there: more contrast is more difference
 * in lightness, whichever pigment brings it. What is a mark of its own is an amount on its axes.
 */
final readonly class Wish
{
    /**
     * @param array<string, float> $axes what it is about, direction and weight by axis
     * @param string|null $measured what is measured of the drawing; null for the amounts on the axes
     * @param float $unit what of the measure is as much as one unit of an axis
     */
    private function __construct(
        public string $key, public string $words, public array $axes, private ?string $measured = null, private float $unit = 1.0,
    ) {}

    /** @return array<string, self> by key, in the order in which they are offered */
    public static function all(): array
    {
        $all = [];
        foreach ([
            ['contrast', 'contrast', ['black_depth' => .8, 'dusk' => -1.0, 'fade' => -.5], 'contrast', 9.0],
            ['bright', 'brightness', ['dusk' => -1.0, 'yellow' => .3, 'fade' => .4], 'lightness', 9.0],
            ['dark', 'darkness', ['dusk' => 1.0, 'black_depth' => .6, 'pattern_amount' => .4], 'lightness', -9.0],
            ['yellow', 'yellow', ['yellow' => 1.0], 'yellow', 7.0],
            ['orange', 'orange and red', ['orange_red' => 1.0], 'red', 9.0],
            ['silver', 'silver, without yellow', ['yellow' => -1.0, 'orange_red' => -1.0], 'colour', -12.0],
            ['lavender', 'lavender', ['lavender' => 1.0, 'black_depth' => -.4]],
            ['white', 'white', ['white_area' => 1.0, 'fade' => .8, 'spatter' => .8], 'white', .25],
            ['pattern', 'dark pattern', ['pattern_amount' => 1.0], 'dark', .15],
            ['busy', 'busy pattern', ['pattern_breakup' => 1.0, 'fine' => .7, 'jagged' => .3]],
            ['stripe', 'stripe along the back', ['dorsal_stripe' => 1.0, 'dashed' => .3]],
            ['bands', 'bands', ['banding' => 1.0]],
            ['eyes', 'dark spots in the blotches', ['eyes' => 1.0, 'oneeye' => .7]],
            ['flames', 'flames from the belly', ['flames' => 1.0]],
            ['rims', 'pale rims', ['rim' => 1.0]],
            ['head', 'light head', ['head_blush' => 1.0, 'stamp' => -.5]],
            ['belly', 'clear belly', ['belly_clear' => 1.0]],
        ] as $one) {
            $all[$one[0]] = new self(...$one);
        }

        return $all;
    }

    /** Whether the drawings of both looks are needed to say how much of it a change brings. */
    public function isMeasured(): bool
    {
        return $this->measured !== null;
    }

    /** How much of it a change brings. */
    public function amount(Look $before, Look $after, ?Measured $drawnBefore = null, ?Measured $drawnAfter = null): float
    {
        if ($this->measured !== null) {
            $drawnBefore ??= Measured::of($before);
            $drawnAfter ??= Measured::of($after);

            return ($drawnAfter->value($this->measured) - $drawnBefore->value($this->measured)) / $this->unit;
        }
        $sum = 0.0;
        foreach ($this->axes as $axis => $weight) {
            $sum += $weight * ($after->at($axis) - $before->at($axis));
        }

        return $sum;
    }
}
