<?php

declare(strict_types=1);

namespace App\Exchange\Cells;

use App\Models\Enums\Precision;

/** A date as people write it: "Jun 2022", "Aug-22", "14 June 2021", "6/14/21", "12.7.23", "summer 2020", "~2018", "before 2018". */
class DateCell
{
    /** How 03/04/2022 is meant. */
    public const DAY_FIRST = 'day-first';

    public const MONTH_FIRST = 'month-first';

    private const MONTHS = [
        'jan' => 1, 'feb' => 2, 'mar' => 3, 'apr' => 4, 'may' => 5, 'jun' => 6, 'jul' => 7, 'aug' => 8, 'sep' => 9, 'oct' => 10,
        'nov' => 11, 'dec' => 12,
    ];

    private const NOTHING = ['', '?', '-', 'n/a', 'na', 'unknown', 'not known', 'none', 'tbd'];

    /** Words that say that a date is not exact; the text is kept. */
    private const ABOUT = '/^(?:~|≈|ca\.?|c\.|circa|about|approx\.?|around|before|after|early|late|mid|spring|summer|autumn|fall|winter)'
        .'[\s-]*|\s*(?:\?|ish|or so)$/iu';

    /** Words that leave the date open to one side. */
    private const OPEN = '/^(?:before|after)\b/iu';

    /**
     * @param string|null $day the first day meant; null where it is none
     * @param bool $isAbout whether it is not exact, so that the text is kept as it was written
     * @param bool $isUnclear whether day and month can be swapped, and nobody said which comes first
     */
    private function __construct(
        public readonly ?string $day,
        public readonly Precision $precision,
        public readonly bool $isAbout = false,
        public readonly bool $isUnclear = false,
        public readonly bool $isNothing = false,
    ) {}

    /** @param bool|null $dayFirst how 03/04/2022 is meant; null where nobody said */
    public static function read(string $text, ?bool $dayFirst): self
    {
        $text = trim($text);
        if (in_array(mb_strtolower($text), self::NOTHING, true)) {
            return new self(null, Precision::Day, isNothing: true);
        }
        $plain = trim((string) preg_replace(self::ABOUT, '', (string) preg_replace(self::ABOUT, '', $text)), " .,\t");
        $isAbout = $plain !== trim($text, " .,\t");
        $found = self::named($plain) ?? self::numbers($plain, $dayFirst) ?? self::yearAlone($plain);
        if ($found === null) {
            return new self(null, Precision::Day);
        }
        if (preg_match(self::OPEN, $text) === 1) { // "before 2020" is not 2020
            return new self(null, Precision::Year, isAbout: true);
        }
        [$year, $month, $day, $isUnclear] = $found;
        if ($isUnclear) {
            return new self(null, Precision::Day, isUnclear: true);
        }
        $isReal = checkdate($month ?? 1, $day ?? 1, $year) && $year >= 1980;
        $first = sprintf('%04d-%02d-%02d', $year, $month ?? 1, $day ?? 1);

        return ! $isReal || $first > now()->format('Y-m-d')
            ? new self(null, Precision::Day)
            : new self($first, $day !== null ? Precision::Day : ($month !== null ? Precision::Month : Precision::Year), $isAbout);
    }

    /**
     * Whether the dates of a column show by themselves which comes first: one that can be read in one way only.
     *
     * @param list<string> $texts
     */
    public static function orderOf(array $texts): ?bool
    {
        $dayFirst = $monthFirst = false;
        foreach ($texts as $text) {
            if (preg_match('~^\D*(\d{1,2})[/-](\d{1,2})[/-](?:\d{4}|\d{2})\D*$~', $text, $part) === 1) {
                $dayFirst = $dayFirst || ((int) $part[1] > 12 && (int) $part[2] <= 12);
                $monthFirst = $monthFirst || ((int) $part[2] > 12 && (int) $part[1] <= 12);
            }
        }

        return $dayFirst === $monthFirst ? null : $dayFirst;
    }

    /** @return array{int, int|null, int|null, bool}|null year, month, day, and whether it can be read in two ways */
    private static function named(string $text): ?array
    {
        $month = '(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?';
        $year = "('?\d{2}|\d{4})";
        if (preg_match("~^(\d{1,2})(?:st|nd|rd|th)?[\s./-]*{$month},?[\s./-]*{$year}$~iu", $text, $part) === 1) {
            return [self::year($part[3]), self::MONTHS[mb_strtolower($part[2])], (int) $part[1], false];
        }
        if (preg_match("~^{$month}\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+{$year}$~iu", $text, $part) === 1) {
            return [self::year($part[3]), self::MONTHS[mb_strtolower($part[1])], (int) $part[2], false];
        }
        if (preg_match("~^{$month}[\s./,-]*{$year}$~iu", $text, $part) === 1) {
            return [self::year($part[2]), self::MONTHS[mb_strtolower($part[1])], null, false];
        }

        return preg_match("~^(\d{4})[\s./-]+{$month}$~iu", $text, $part) === 1
            ? [(int) $part[1], self::MONTHS[mb_strtolower($part[2])], null, false]
            : null;
    }

    /** @return array{int, int|null, int|null, bool}|null */
    private static function numbers(string $text, ?bool $dayFirst): ?array
    {
        $text = (string) preg_replace('~[ T]\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?\s*(Z|[+-]\d{2}:?\d{2}|[ap]m)?$~i', '', $text);
        if (preg_match('~^(\d{4})[-/.](\d{1,2})(?:[-/.](\d{1,2}))?$~', $text, $part) === 1) {
            return [(int) $part[1], (int) $part[2], isset($part[3]) ? (int) $part[3] : null, false];
        }
        if (preg_match('~^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4}|\d{2})$~', $text, $part) === 1) {
            return [self::year($part[3]), (int) $part[2], (int) $part[1], false];
        }
        if (preg_match('~^(\d{1,2})[/-](\d{1,2})[/-](\d{4}|\d{2})$~', $text, $part) === 1) {
            [$first, $second] = [(int) $part[1], (int) $part[2]];
            if ($first <= 12 && $second <= 12 && $first !== $second && $dayFirst === null) {
                return [self::year($part[3]), null, null, true];
            }
            $isDayFirst = $second > 12 ? false : ($first > 12 || $dayFirst === true || $first === $second);

            return $isDayFirst ? [self::year($part[3]), $second, $first, false] : [self::year($part[3]), $first, $second, false];
        }

        return preg_match('~^(\d{1,2})[./-](\d{4})$~', $text, $part) === 1 ? [(int) $part[2], (int) $part[1], null, false] : null;
    }

    /** @return array{int, null, null, bool}|null */
    private static function yearAlone(string $text): ?array
    {
        return preg_match('~^(\d{4})$~', $text, $part) === 1 ? [(int) $part[1], null, null, false] : null;
    }

    private static function year(string $text): int
    {
        $year = (int) ltrim($text, "'");

        return $year >= 100 ? $year : ($year <= (int) now()->format('y') ? 2000 + $year : 1900 + $year);
    }
}
