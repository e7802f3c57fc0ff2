<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Enums\Precision;
use Destino\Genome\Sex;
use Illuminate\Support\Carbon;

/** Animals on the market as they are typed into a project, one a line. */
class OfferLines
{
    /**
     * Reads offers, one a line: sex, genes, age in months, price, from and until when it is to be had. All but the genes may
     * stand anywhere.
     *
     * @return list<array{genes: string, sex: string, age: int, price: int, from?: string, until?: string}|string> an offer, or what is wrong with the line
     */
    public static function read(string $text): array
    {
        $offers = [];
        foreach (preg_split('/\R/', trim($text)) ?: [] as $i => $line) {
            trim($line) === '' ?: $offers[] = self::line($line, $i + 1);
        }

        return $offers;
    }

    /** @return array{genes: string, sex: string, age: int, price: int, from?: string, until?: string}|string */
    private static function line(string $text, int $number): array|string
    {
        $said = $genes = [];
        // "1,200" is one price, not two
        $joined = (string) preg_replace('/(?<![\d.]|\d,)(\d{1,3}),(\d{3})(?![\d.]|,\d{3})/', '$1$2', $text);
        foreach (array_map(trim(...), explode(',', $joined)) as $part) {
            [$what, $value] = self::part($part);
            if ($what === null) {
                $genes[] = $part;
            } elseif ($value === null) {
                return "Line {$number}: write the day as from 2027-03-01 or until 2027-03.";
            } elseif (isset($said[$what])) {
                $words = in_array($what, ['from', 'until'], true) ? "“{$what}”" : "the {$what}";

                return "Line {$number} says {$words} twice, “{$said[$what][1]}” and “{$part}”: which of the two?";
            } else {
                $said[$what] = [$value, $part];
            }
        }
        $said = array_map(fn (array $one): int|string => $one[0], $said);
        $days = array_intersect_key($said, ['from' => true, 'until' => true]);

        return ! isset($said['sex'], $said['price']) || $genes === []
            ? "Line {$number} needs a sex, what it carries and a price: female, Clown het Piebald, 24 months, 400"
            : ['genes' => implode(' ', $genes), 'sex' => $said['sex'], 'age' => $said['age'] ?? 36, 'price' => $said['price']] + $days;
    }

    /** @return array{string|null, int|string|null} what a part says, and its value; null and null where it is of the genes */
    private static function part(string $part): array
    {
        return match (true) {
            Sex::tryFrom(mb_strtolower($part)) !== null => ['sex', mb_strtolower($part)],
            preg_match('/^(\d+) ?months?$/i', $part, $age) === 1 => ['age', (int) $age[1]],
            preg_match('/^(from|until) (\S+)$/i', $part, $when) === 1 => [
                mb_strtolower($when[1]), self::day($when[2], mb_strtolower($when[1]) === 'until'),
            ],
            preg_match('/^\d{1,8}$/', $part) === 1 => ['price', (int) $part],
            default => [null, null],
        };
    }

    /** The first day that is meant, or the last; null where it is no date. */
    private static function day(string $text, bool $isLast): ?string
    {
        $read = Precision::read($text);
        $day = $read === null ? null : Carbon::parse($read[0]);

        return $day === null ? null : (match (true) {
            ! $isLast, $read[1] === Precision::Day => $day,
            $read[1] === Precision::Month => $day->endOfMonth(),
            default => $day->endOfYear(),
        })->format('Y-m-d');
    }
}
