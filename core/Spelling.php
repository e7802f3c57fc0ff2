<?php

declare(strict_types=1);

namespace Destino;

/**
 * How words are compared and which known word a misspelt one can have meant: the one place for names of genes, words of the
 * notation, schools and assumptions.
 */
final class Spelling
{
    /** Words with fewer characters than this are not guessed at. */
    private const SHORTEST = 3;

    private const LONGEST = 60;

    /** Lower case, without accents, one kind of apostrophe. */
    public static function fold(string $word): string
    {
        $word = mb_strtolower(str_replace('’', "'", $word));

        return strtr($word, [
            'é' => 'e', 'è' => 'e', 'ê' => 'e', 'ë' => 'e', 'á' => 'a', 'à' => 'a', 'â' => 'a', 'ä' => 'a', 'ã' => 'a',
            'å' => 'a', 'ó' => 'o', 'ò' => 'o', 'ô' => 'o', 'ö' => 'o', 'õ' => 'o', 'í' => 'i', 'ì' => 'i', 'î' => 'i',
            'ï' => 'i', 'ú' => 'u', 'ù' => 'u', 'û' => 'u', 'ü' => 'u', 'ñ' => 'n', 'ç' => 'c', 'ß' => 'ss',
        ]);
    }

    /**
     * The known words that are nearest to one that is none, by optimal string alignment: a letter too many, missing, wrong or
     * two exchanged are one slip each. A short word bears one slip, a longer one two or three; in several words each must be
     * near its own.
     *
     * @param iterable<string, string> $known what is told, by its folded form
     * @return list<string> at most three, nearest first
     */
    public static function nearest(string $word, iterable $known): array
    {
        $word = self::fold($word);
        if (mb_strlen($word) < self::SHORTEST || mb_strlen($word) > self::LONGEST) {
            return [];
        }
        $found = [];
        foreach ($known as $key => $text) {
            $slips = self::slips($word, strval($key));
            if ($slips !== null && $slips < ($found[$text] ?? PHP_INT_MAX)) {
                $found[$text] = $slips;
            }
        }
        asort($found);

        return array_slice(array_map(strval(...), array_keys($found)), 0, 3);
    }

    /** Slips between a word and a known one; null where it cannot have been meant. */
    private static function slips(string $word, string $known): ?int
    {
        if (abs(mb_strlen($word) - mb_strlen($known)) > 3) {
            return str_starts_with($known, $word) ? 1 : null;
        }
        $slips = self::distance($word, $known);
        if ($slips <= self::borne($word, $known) && mb_strlen($known) >= self::SHORTEST) {
            return $slips;
        }

        return str_starts_with($known, $word) ? 1 : null;
    }

    /** Slips that a word of this length bears; what stands in several words is held against the longest of them. */
    private static function borne(string $word, string $known): int
    {
        $length = min(max(array_map(mb_strlen(...), explode(' ', $word))), max(array_map(mb_strlen(...), explode(' ', $known))));

        return match (true) {
            $length <= 5 => 1,
            $length <= 8 => 2,
            default => 3,
        };
    }

    /** Optimal string alignment distance (Damerau 1964, without a second edit of what was exchanged). */
    public static function distance(string $a, string $b): int
    {
        [$x, $y] = [mb_str_split($a), mb_str_split($b)];
        $before = [];
        $last = range(0, count($y));
        foreach ($x as $i => $one) {
            $row = [$i + 1];
            foreach ($y as $j => $other) {
                $cost = min($last[$j + 1] + 1, $row[$j] + 1, $last[$j] + ($one === $other ? 0 : 1));
                if ($i > 0 && $j > 0 && $one === $y[$j - 1] && $x[$i - 1] === $other) {
                    $cost = min($cost, $before[$j - 1] + 1);
                }
                $row[] = $cost;
            }
            [$before, $last] = [$last, $row];
        }

        return $last[count($y)];
    }
}
