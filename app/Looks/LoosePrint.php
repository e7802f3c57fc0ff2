<?php

declare(strict_types=1);

namespace App\Looks;

use Destino\Appearance\Look;
use Destino\Appearance\LookFacts;
use Destino\Appearance\Sureness;

/** A drawing that comes by itself: all that it shows stands in its address, so that it is the same for ever. */
final readonly class LoosePrint
{
    public const SIZES = ['small', 'card'];

    private const SEED_DIGITS = 15;

    private function __construct(public Look $look, public string $size) {}

    /** The same amounts as in an address: a drawing is the same wherever it comes from. */
    public static function exact(Look $look): Look
    {
        return new Look(
            array_map(fn (float $value): float => (int) round(1000 * $value) / 1000, $look->values), $look->reasons, $look->sureness,
            $look->hidden, $look->days, $look->seed,
        );
    }

    /** @param string $mark of the code that draws: another after a change of it */
    public static function address(Look $look, string $size, string $mark): string
    {
        return route(
            'looks.drawing', ['amounts' => self::amounts($look), 'seed' => $look->seed, 'size' => $size, 'code' => $mark], false,
        );
    }

    /** The amounts of a look as an address has them. */
    public static function amounts(Look $look): string
    {
        $amounts = [];
        foreach ($look->values as $axis => $value) {
            $amounts[] = $axis.'~'.(int) round(1000 * $value);
        }

        return implode('.', $amounts);
    }

    /** As an address tells it, or null where it tells no drawing. */
    public static function told(string $amounts, string $seed, string $size, LookFacts $facts): ?self
    {
        $known = $facts->axes;
        $values = [];
        foreach ($amounts === '' ? [] : explode('.', $amounts) as $amount) {
            if (preg_match('/^([a-z_]+)~(-?\d{1,4})$/D', $amount, $part) !== 1 || ! isset($known[$part[1]]) || isset($values[$part[1]])) {
                return null;
            }
            $values[$part[1]] = (int) $part[2] / 1000.0;
        }
        if (preg_match('/^-?\d{1,'.self::SEED_DIGITS.'}$/D', $seed) !== 1 || ! in_array($size, self::SIZES, true)) {
            return null;
        }

        return new self(new Look($values, [], Sureness::Known, [], LookFacts::ADULT, (int) $seed), $size);
    }
}
