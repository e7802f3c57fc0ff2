<?php

declare(strict_types=1);

namespace Destino\Appearance;

/**
 * How much of the animal an amount on an axis changes to the eye: the mean difference of colour over the skin, as it is drawn, in
 * CIE L*a*b*.
 */
final class SkinShare
{
    /** A unit of what is drawn on the head, and of what is not drawn on the skin. */
    private const HEAD = 1.5;

    private const LEAST = .6;

    /** Amounts are told apart in steps of this. */
    private const STEP = .5;

    private const COLUMNS = 28;

    private const ROWS = 5;

    /** Some things show only where others are: freckles in groups, lavender, the edge of white. */
    private const BESIDE = [[], ['freckles' => 1.5, 'black_depth' => -2.6], ['white_area' => 1.5]];

    /** @var array<int, array<string, int>> colours without the axis, by what stands beside it */
    private static array $plain = [];

    /** @var array<string, float> by axis and steps */
    private static array $known = [];

    public static function of(Axis $axis, float $amount): float
    {
        if ($axis->group === 'head' || $axis->group === 'eye') {
            return self::HEAD * abs($amount);
        }
        $steps = (int) max(1, round(abs($amount) / self::STEP)) * ($amount < 0 ? -1 : 1);
        $measured = self::$known["{$axis->key} {$steps}"] ??= self::measured($axis, $steps * self::STEP);

        return max($measured * $amount / ($steps * self::STEP), self::LEAST * abs($amount));
    }

    private static function measured(Axis $axis, float $amount): float
    {
        $apart = [];
        foreach (self::BESIDE as $i => $values) {
            $plain = self::$plain[$i] ??= self::colours($values);
            $sum = 0.0;
            foreach (array_diff_assoc(self::colours([$axis->key => $amount] + $values), $plain) as $place => $colour) {
                $sum += Colour::apart($colour, $plain[$place]);
            }
            $apart[] = $sum / count($plain);
        }

        return max(...$apart);
    }

    /**
     * @param array<string, float> $values
     * @return array<string, int> by scale
     */
    private static function colours(array $values): array
    {
        $colours = [];
        $look = new Look($values, [], Sureness::Known, [], LookFacts::ADULT, 0);
        foreach ((new SkinMap($look, self::COLUMNS, self::ROWS))->scales() as $colour => $scales) {
            foreach ($scales as [$column, $row]) {
                $colours["{$column} {$row}"] = $colour;
            }
        }

        return $colours;
    }
}
