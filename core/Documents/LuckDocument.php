<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\Probability\Luck;
use Destino\Probability\Rational;

/** The document destino-luck/1 (docs/formats/luck.schema.json). */
final class LuckDocument
{
    /** Fractions longer than this are left to the decimal beside them. */
    private const LONGEST_FRACTION = 120;

    /** @return array<string, mixed> */
    public static function of(Luck $luck): array
    {
        return [
            'format' => 'destino-luck/1',
            'chance' => $luck->chance->toString(),
            'eggs' => $luck->eggs,
            'hits' => $luck->hits,
            'expected' => $luck->expected()->toFloat(),
            'at_most' => self::tail($luck->atMost()),
            'at_least' => self::tail($luck->atLeast()),
            'one_in' => $luck->oneIn()?->toFloat(),
        ];
    }

    /** @return array<string, string|float> */
    private static function tail(Rational $chance): array
    {
        $fraction = $chance->toString();

        return (strlen($fraction) <= self::LONGEST_FRACTION ? ['probability' => $fraction] : []) + ['decimal' => $chance->toFloat()];
    }
}
