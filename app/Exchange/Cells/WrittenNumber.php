<?php

declare(strict_types=1);

namespace App\Exchange\Cells;

/**
 * A number as people write it: "1,450", "1.450" and "1 450" are the same thousand and more, "12,5" and "12.5" the same twelve and a half.
 * Three digits behind one sign are thousands, since neither weights nor prices are written to a thousandth.
 */
class WrittenNumber
{
    /** For use in a longer expression: a blank belongs to a number only before three digits, so that "300 2 left" stays 300. */
    public const PATTERN = "(?:\d{1,3}(?:[.,'’\h]\d{3})+(?!\d)(?:[.,]\d{1,2}(?!\d))?|\d+(?:[.,]\d+)?)";

    /**
     * @param bool $hasThousands false for a unit so large that three digits behind a point are a part of one: 1.234 kg
     * @return float|null null where it is no number
     */
    public static function read(string $text, bool $hasThousands = true): ?float
    {
        $text = trim($text);
        if ($hasThousands && preg_match("/^(\d{1,3}(?:[.,'’\h]\d{3})+)(?:[.,](\d{1,2}))?$/u", $text, $part) === 1) {
            return (float) (preg_replace('/\D/u', '', $part[1]).'.'.($part[2] ?? '0'));
        }

        return preg_match('/^\d+(?:[.,]\d+)?$/', $text) === 1 ? (float) str_replace(',', '.', $text) : null;
    }
}
