<?php

declare(strict_types=1);

namespace App\Projects;

/** The assumptions of a plan in words, with their units. */
class AssumptionWords
{
    private const WORDS = [
        'male_months' => ['Males breed from', 'months'], 'female_months' => ['Females breed from', 'months'],
        'male_weight' => ['Males breed with', 'g'], 'female_weight' => ['Females breed with', 'g'],
        'lay_rate' => ['A grown female lays in', 'of seasons'], 'clutch_mean' => ['Eggs in a clutch', 'on average'],
        'clutch_sd' => ['Clutches differ by', 'eggs, give or take'], 'infertile' => ['Infertile', 'of eggs'],
        'hatch' => ['Of fertile eggs hatch', ''], 'female_share' => ['Females among the young', ''],
        'females_per_male' => ['A male serves', 'females a season'], 'yearly_keep' => ['Keeping an animal costs', 'a year'],
    ];

    private const ORDER = [
        'female_months', 'female_weight', 'male_months', 'male_weight', 'lay_rate', 'clutch_mean', 'clutch_sd', 'infertile',
        'hatch', 'female_share', 'females_per_male', 'yearly_keep',
    ];

    private const SHARES = ['lay_rate', 'infertile', 'hatch', 'female_share'];

    public static function label(string $name): string
    {
        return self::WORDS[$name][0] ?? $name;
    }

    public static function unit(string $name): string
    {
        return in_array($name, self::SHARES, true) ? '0 to 1' : self::WORDS[$name][1] ?? '';
    }

    /** "70 % of seasons", "1,500 g". */
    public static function figure(string $name, int|float $value): string
    {
        $number = in_array($name, self::SHARES, true) ? round(100 * $value)."\u{a0}%" : rtrim(rtrim(number_format($value, 1), '0'), '.');

        $unit = self::WORDS[$name][1] ?? '';

        return trim("{$number} ".($number === '1' ? preg_replace('/^(month|egg|female)s\b/', '$1', $unit) : $unit));
    }

    /** @return list<string> in the order in which they are told */
    public static function order(): array
    {
        return self::ORDER;
    }
}
