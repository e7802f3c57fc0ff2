<?php

declare(strict_types=1);

namespace App\Exchange\Cells;

use Destino\Genome\Sex;

/** Cells that mean a sex, a price or a parent, as people write them. */
class SoftCells
{
    private const SEXES = [
        'm' => Sex::Male, 'male' => Sex::Male, 'man' => Sex::Male, '♂' => Sex::Male, '1.0' => Sex::Male, '1.0.0' => Sex::Male,
        '1:0' => Sex::Male, 'boy' => Sex::Male, 'he' => Sex::Male,
        'f' => Sex::Female, 'female' => Sex::Female, 'w' => Sex::Female, 'fem' => Sex::Female, '♀' => Sex::Female, '0.1' => Sex::Female,
        '0.1.0' => Sex::Female, '0:1' => Sex::Female, 'girl' => Sex::Female, 'she' => Sex::Female,
    ];

    private const NOBODY = [
        '', '?', '??', '-', '--', 'n/a', 'na', 'none', 'nobody', 'unknown', 'unk', 'not known', 'wild', 'wild caught', 'wc', 'cb',
        'captive bred', 'tbd', 'x',
    ];

    private const NO_SEX = ['', '?', 'u', 'unk', 'unknown', 'not known', '0.0.1', 'unsexed', 'n/a', 'na', '-', 'tbd', 'juvenile', 'baby'];

    private const CURRENCIES = ['£' => '£', '€' => '€', '$' => '$', 'gbp' => '£', 'eur' => '€', 'usd' => '$', 'chf' => 'CHF'];

    /** @return array{Sex|null, bool, bool} sex, whether it is only likely, whether the text was read */
    public static function sex(string $text): array
    {
        $plain = mb_strtolower(trim($text));
        if (in_array($plain, self::NO_SEX, true)) {
            return [null, false, true];
        }
        $sure = self::SEXES[$plain] ?? null;
        if ($sure !== null) {
            return [$sure, false, true];
        }
        $likely = preg_match('/^(?:prob\.?|probably|likely|maybe|poss\.?|possible)\s+(.+)$|^(.+?)\s*\(?\?\)?$/u', $plain, $part) === 1
            ? self::SEXES[trim($part[1] !== '' ? $part[1] : $part[2] ?? '')] ?? null
            : null;

        return [$likely, $likely !== null, $likely !== null];
    }

    /**
     * @param string $own currency of the house
     * @return array{int|null, bool} cents, and whether all of the text was read: what is not stays word for word
     */
    public static function price(string $text, string $own): array
    {
        $text = trim($text);
        if (in_array(mb_strtolower($text), ['', '?', '-', 'n/a', 'na', 'unknown'], true)) {
            return [null, true];
        }
        $sign = '(£|€|\$|gbp|eur|usd|chf)?';
        if (preg_match("/^{$sign}\s*(".WrittenNumber::PATTERN.")(k\b)?(?:[.,]?-+)?\s*{$sign}\s*(.*)$/iu", $text, $part) !== 1) {
            return [null, false];
        }
        $sign = mb_strtolower($part[1] !== '' ? $part[1] : $part[4]);
        $number = WrittenNumber::read($part[2]);
        $number = $number === null || $part[3] === '' ? $number : 1000 * $number; // "1.2k"
        if ($number === null || $number > 1e6
            || ($sign !== '' && self::CURRENCIES[$sign] !== (self::CURRENCIES[mb_strtolower($own)] ?? $own))) {
            return [null, false]; // another currency is not the house's
        }

        return [(int) round(100 * $number), $part[5] === ''];
    }

    public static function isNobody(string $text): bool
    {
        return in_array(mb_strtolower(trim($text)), self::NOBODY, true);
    }

    /** @return list<string> the possible parents that a text names: "Skiff or Punt" are two */
    public static function parents(string $text): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), preg_split('~\s+or\s+|\s*/\s*|\s*\|\s*~iu', $text) ?: []),
                fn (string $one): bool => ! self::isNobody($one),
            ),
        );
    }
}
