<?php

declare(strict_types=1);

namespace App\Models\Enums;

/** How exactly a date is known. */
enum Precision: string
{
    case Day = 'day';
    case Month = 'month';
    case Year = 'year';

    public function format(): string
    {
        return match ($this) {
            self::Day => 'j F Y',
            self::Month => 'F Y',
            self::Year => 'Y',
        };
    }

    /**
     * Reads "2022-08-11", "2022-08" or "2022".
     *
     * @return array{string, self}|null the first day meant, and how exactly; null where it is no date
     */
    public static function read(string $text): ?array
    {
        if (! preg_match('/^(\d{4})(?:-(\d{1,2})(?:-(\d{1,2}))?)?$/', trim($text), $part)) {
            return null;
        }
        [$year, $month, $day] = [(int) $part[1], (int) ($part[2] ?? 1), (int) ($part[3] ?? 1)];

        return checkdate($month, $day, $year)
            ? [sprintf('%04d-%02d-%02d', $year, $month, $day), isset($part[3]) ? self::Day : (isset($part[2]) ? self::Month : self::Year)]
            : null;
    }

    public function write(\DateTimeInterface $date): string
    {
        return $date->format(match ($this) {
            self::Day => 'Y-m-d',
            self::Month => 'Y-m',
            self::Year => 'Y',
        });
    }
}
