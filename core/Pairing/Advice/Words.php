<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Notation\Percentage;
use Destino\Probability\Rational;

/** Odds and lists in plain words. */
final readonly class Words
{
    /** "1 in 4 eggs", "every egg", "2/3 of the eggs (66%)". */
    public static function share(Rational $chance, string $one = 'egg', string $many = 'eggs'): string
    {
        if ($chance->isOne()) {
            return "every {$one}";
        }
        if ((string) $chance->numerator() === '1') {
            return "1 in {$chance->denominator()} {$many}";
        }

        return "{$chance->toString()} of the {$many} (".Percentage::print($chance).')';
    }

    /** @param list<string> $items */
    public static function list(array $items, string $word = 'and'): string
    {
        $last = array_pop($items);

        return $items === [] ? (string) $last : implode(', ', $items)." {$word} {$last}";
    }

    public static function sentence(string $text): string
    {
        return mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }
}
