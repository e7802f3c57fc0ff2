<?php

declare(strict_types=1);

namespace App\Exchange\Cells;

use App\Models\CareEntry;

/** A weight as people write it: "~1500", "1.2 kg", "1,450 g", "410g (5/24)": 410 g in that month. */
class WeightCell
{
    private const ABOUT = ['', '~', '≈', 'ca', 'ca.', 'c.', 'about', 'approx', 'approx.', 'circa', 'around'];

    private const IN_GRAMS = [
        'g' => 1, 'gr' => 1, 'gram' => 1, 'grams' => 1, 'kg' => 1000, 'kilo' => 1000, 'oz' => 28.349523125, 'lb' => 453.59237,
        'lbs' => 453.59237,
    ];

    /** Nothing that hatches weighs less: "1.45" with no unit behind it is no gram and a half, and may be kilograms. */
    private const LEAST = 10;

    private function __construct(
        public readonly ?int $grams, public readonly ?DateCell $on, public readonly bool $isAbout, public readonly bool $isNothing = false,
    ) {}

    /** @param string $unit of a number without one */
    public static function read(string $text, ?bool $dayFirst, string $unit = 'g'): self
    {
        $text = trim($text);
        if (in_array(mb_strtolower($text), ['', '?', '-', 'n/a', 'na', 'unknown', 'not known', 'tbd'], true)) {
            return new self(null, null, false, true);
        }
        $pattern = '~^(\D*?)\s*('.WrittenNumber::PATTERN.')\s*([a-z]*)\.?\s*(\?)?\s*(?:[(\[]?\s*(?:on|in|at)?\s*([^()\[\]]*?)\s*[)\]]?)?$~iu';
        if (preg_match($pattern, $text, $part) !== 1) {
            return new self(null, null, false);
        }
        $factor = self::IN_GRAMS[mb_strtolower($part[3] === '' ? $unit : $part[3])] ?? null;
        $number = WrittenNumber::read($part[2], $factor === 1);
        $prefix = mb_strtolower(trim($part[1]));
        if ($factor === null || $number === null || ! in_array($prefix, self::ABOUT, true)) {
            return new self(null, null, false);
        }
        $grams = (int) round($number * $factor);
        $when = trim($part[5] ?? '');
        $on = $when === ''
            ? null
            : (
                preg_match('~^(\d{1,2})/(\d{2})$~', $when, $short) === 1 && (int) $short[1] <= 12
                    ? DateCell::read("{$short[1]}/20{$short[2]}", $dayFirst)
                    : DateCell::read($when, $dayFirst)
            );
        $isWeight = $grams >= ($part[3] === '' ? self::LEAST : 1) && $grams <= CareEntry::MOST_GRAMS
            && ($on === null || $on->day !== null);

        return $isWeight ? new self($grams, $on, $prefix !== '' || ($part[4] ?? '') === '?') : new self(null, null, false);
    }
}
