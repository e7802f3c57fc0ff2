<?php

declare(strict_types=1);

namespace App\Words;

use Brick\Math\BigInteger;
use Destino\Notation\Percentage;
use Destino\Probability\ClutchChance;
use Destino\Probability\LuckTogether;
use Destino\Probability\Rational;
use Illuminate\Support\HtmlString;

/** Exact odds with a plain sentence beside them. */
class OddsWords
{
    /** The sign stays with its number at the end of a line. */
    private const PERCENT = "\u{a0}%";

    /** Fractions beyond this denominator are no longer read: they are said in words. */
    private const READABLE = 1000;

    /** "1 in 8", "about 1 in 5.3", "every", "never". */
    public static function oneIn(Rational $chance): string
    {
        if ($chance->isZero()) {
            return 'never';
        }
        if ($chance->isOne()) {
            return 'always';
        }
        $inverse = Rational::one()->dividedBy($chance);
        $isWhole = (string) $inverse->denominator() === '1';
        $number = $inverse->toFloat();

        return $isWhole
            ? '1 in '.number_format($number)
            : 'about 1 in '.($number < 10 ? rtrim(rtrim(number_format($number, 1), '0'), '.') : number_format($number));
    }

    /** "3 in 8 per egg (38 %)": what a keeper counts with; "about 1 in 6.1 per egg (16 %)" where nobody could read the fraction. */
    public static function perEgg(Rational $chance, string $unit = 'egg'): string
    {
        return match (true) {
            $chance->isZero() => 'never',
            $chance->isOne() => "every {$unit}",
            default => self::outOf($chance)." per {$unit} (".self::percent($chance).')',
        };
    }

    /** "3 in 8"; "about 1 in 6.1" where nobody could read the fraction. */
    public static function outOf(Rational $chance): string
    {
        return ! $chance->isZero() && ! $chance->isOne() && self::isReadable($chance)
            ? "{$chance->numerator()} in {$chance->denominator()}"
            : self::oneIn($chance);
    }

    /** "35/72"; where nobody could read it, "about 1 in 6.1". */
    public static function fraction(Rational $chance): string
    {
        return match (true) {
            self::isReadable($chance) => $chance->toString(),
            $chance->compareTo(Rational::of(1, 2)) > 0 => 'about '.self::percent($chance),
            default => self::oneIn($chance),
        };
    }

    public static function isReadable(Rational $chance): bool
    {
        return $chance->denominator()->isLessThan(self::READABLE);
    }

    /** The same as HTML, with the exact number a tap away where it is not shown. */
    public static function exact(Rational $chance, ?string $label = null): string
    {
        return self::isReadable($chance)
            ? $chance->toString()
            : '<details class="exact"><summary>'.e($label ?? self::fraction($chance)).'</summary>'.$chance->toString().'</details>';
    }

    /** As exact() says it, of a fraction that was kept as a text, however long. */
    public static function kept(string $fraction): HtmlString
    {
        [$numerator, $denominator] = [...explode('/', $fraction), '1'];

        return new HtmlString(self::exact(Rational::ofBig(BigInteger::of($numerator), BigInteger::of($denominator))));
    }

    /** A percentage that never claims 0 or 100 for what is neither. */
    public static function percent(Rational $chance): string
    {
        if ($chance->isZero() || $chance->isOne()) {
            return $chance->toPercent().self::PERCENT;
        }
        $value = $chance->toFloat();
        // Two digits that say something, near 0 as near 1.
        $places = min($value, 1 - $value) >= 0.1 ? 0 : max(1, 1 - (int) floor(log10(max(100 * min($value, 1 - $value), 1e-9))));
        $text = $chance->toPercent($places);
        $isFalse = in_array((float) $text, [0.0, 100.0], true);

        return ($isFalse ? rtrim(Percentage::print($chance), '%') : (str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text))
            .self::PERCENT;
    }

    /** A share that is an estimate, in whole percent: never 0 or 100 for what is neither. */
    public static function share(float $share): string
    {
        return match (true) {
            $share <= 0.0 => '0',
            $share < .01 => 'under 1',
            $share >= 1.0 => '100',
            $share > .99 => 'over 99',
            default => (string) round(100 * $share),
        }.self::PERCENT;
    }

    /** The chance of one thing that an animal may be: a keeper says of what is all but sure that it is. */
    public static function sure(float $share): string
    {
        return match (true) {
            $share >= 1.0 => 'sure',
            $share > .995 => 'almost certain',
            default => self::share($share),
        };
    }

    /** How far odds may be off that were sampled; empty where they are exact to a tenth of a point. */
    public static function off(float $error): string
    {
        $points = 100 * $error;

        return match (true) {
            $points < .1 => '',
            $points > 5 => 'The family is too tangled to be worked out exactly, and what was sampled of this animal may be off by '
                .round($points).' points: not worth a figure.',
            default => 'The family is too tangled to be worked out exactly: these odds are sampled, within '
                .($points < 1 ? 'one point' : ceil($points).' points').'.',
        };
    }

    /** @param array<string, float> $shares by words; those that are 0 are not told */
    public static function shares(array $shares): string
    {
        $told = array_filter($shares, fn (float $share): bool => $share > 0);

        return implode(', ', array_map(fn (string $words, float $share): string => $words.' '.self::share($share), array_keys($told),
            $told));
    }

    /** How unusual several runs together are. */
    public static function together(LuckTogether $all, string $such): string
    {
        return $all->tail()->toFloat() > .4
            ? 'As expected.'
            : ($all->isBelowExpected() ? 'As few or fewer' : 'As many or more').' in '.self::percent($all->tail())." of such {$such}.";
    }

    /** How many clutches of this size it is likely to take. */
    public static function clutches(ClutchChance $chance, int $eggs): string
    {
        $needed = $chance->eggsFor(Rational::of(1, 2));
        if ($needed === null) {
            return 'may never come from these parents';
        }
        $clutches = intdiv($needed - 1, max(1, $eggs)) + 1;

        return match (true) {
            $clutches === 1 => 'likely in one clutch',
            $clutches <= 12 => "likely to take {$clutches} clutches",
            default => 'likely to take more than twelve clutches',
        };
    }
}
