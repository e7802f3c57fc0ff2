<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** Something that a keeper wishes of a look, as amounts by axis. */
final readonly class Wish
{
    /** @param array<string, float> $axes direction and weight by axis */
    private function __construct(public string $key, public string $words, public array $axes) {}

    /** @return array<string, self> by key, in the order in which they are offered */
    public static function all(): array
    {
        $all = [];
        foreach ([
            ['contrast', 'contrast', ['black_depth' => .8, 'dusk' => -1.0, 'fade' => -.5]],
            ['bright', 'brightness', ['dusk' => -1.0, 'yellow' => .3, 'fade' => .4]],
            ['dark', 'darkness', ['dusk' => 1.0, 'black_depth' => .6, 'pattern_amount' => .4]],
            ['yellow', 'yellow', ['yellow' => 1.0]],
            ['orange', 'orange and red', ['orange_red' => 1.0]],
            ['silver', 'silver, without yellow', ['yellow' => -1.0, 'orange_red' => -1.0]],
            ['lavender', 'lavender', ['lavender' => 1.0, 'black_depth' => -.4]],
            ['white', 'white', ['white_area' => 1.0, 'fade' => .8, 'spatter' => .8]],
            ['pattern', 'dark pattern', ['pattern_amount' => 1.0]],
            ['busy', 'restless pattern', ['pattern_breakup' => 1.0, 'fine' => .7, 'jagged' => .3]],
            ['stripe', 'stripe along the back', ['dorsal_stripe' => 1.0, 'dashed' => .3]],
            ['bands', 'bands', ['banding' => 1.0]],
            ['eyes', 'dark spots in the blotches', ['eyes' => 1.0, 'oneeye' => .7]],
            ['flames', 'flames from the belly', ['flames' => 1.0]],
            ['rims', 'pale rims', ['rim' => 1.0]],
            ['head', 'light head', ['head_blush' => 1.0, 'stamp' => -.5]],
            ['belly', 'clear belly', ['belly_clear' => 1.0]],
        ] as [$key, $words, $axes]) {
            $all[$key] = new self($key, $words, $axes);
        }

        return $all;
    }

    /** How much of it a change brings. */
    public function amount(Look $before, Look $after): float
    {
        $sum = 0.0;
        foreach ($this->axes as $axis => $weight) {
            $sum += $weight * ($after->at($axis) - $before->at($axis));
        }

        return $sum;
    }
}
