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
            if (trim($line) === '') {
                continue;
            }
            $parts = array_map(trim(...), explode(',', $line));
            $sex = $age = $price = null;
            $genes = $days = [];
            foreach ($parts as $part) {
                if (Sex::tryFrom(mb_strtolower($part)) !== null) {
                    $sex = mb_strtolower($part);
                } elseif (preg_match('/^(\d+) ?months?$/i', $part, $number)) {
                    $age = (int) $number[1];
                } elseif (preg_match('/^(from|until) (\S+)$/i', $part, $when)) {
                    $days[mb_strtolower($when[1])] = self::day($when[2], mb_strtolower($when[1]) === 'until');
                } elseif (preg_match('/^\d{1,8}$/', $part)) {
                    $price = (int) $part;
                } else {
                    $genes[] = $part;
                }
            }
            if (in_array(null, $days, true)) {
                $offers[] = 'Line '.($i + 1).': write the day as from 2027-03-01 or until 2027-03.';

                continue;
            }
            $offers[] = $sex === null || $genes === [] || $price === null
                ? 'Line '.($i + 1).' needs a sex, what it carries and a price: female, Clown het Piebald, 24 months, 400'
                : ['genes' => implode(' ', $genes), 'sex' => $sex, 'age' => $age ?? 36, 'price' => $price] + $days;
        }

        return $offers;
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
