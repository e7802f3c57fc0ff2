<?php

declare(strict_types=1);

namespace App\Drawing;

use Destino\Genome\Catalogue;
use WeakMap;

/** Two letters for each gene, different from those of every other: its initials or its beginning where these are free. */
class GeneLetters
{
    /** @var WeakMap<Catalogue, array<string, string>>|null */
    private static ?WeakMap $known = null;

    public static function of(string $allele, Catalogue $catalogue): string
    {
        self::$known ??= new WeakMap;
        self::$known[$catalogue] ??= self::all($catalogue);

        return self::$known[$catalogue][$allele];
    }

    /** @return array<string, string> by allele: each gets its first wish before any gets its second; the earlier gene goes first */
    private static function all(Catalogue $catalogue): array
    {
        $open = $letters = $taken = [];
        foreach ($catalogue->alleles as $key => $allele) {
            $open[$key] = [...self::wishes($allele->name)];
        }
        while ($open !== []) {
            foreach ($open as $key => $wishes) {
                $wish = array_shift($wishes);
                if ($wish !== null && isset($taken[mb_strtolower($wish)])) {
                    $open[$key] = $wishes;

                    continue;
                }
                $letters[$key] = $wish ?? '?';
                $taken[mb_strtolower($letters[$key])] = true;
                unset($open[$key]);
            }
        }

        return $letters;
    }

    /** @return iterable<string> */
    private static function wishes(string $name): iterable
    {
        $words = preg_split('/[^\p{L}\p{N}]+/u', $name, -1, PREG_SPLIT_NO_EMPTY) ?: ['?'];
        $first = mb_strtoupper(mb_substr($words[0], 0, 1));
        if (count($words) > 1) {
            $last = end($words);
            yield $first.mb_strtoupper(mb_substr(is_numeric($last) ? $last : $words[1], 0, 1));
        }
        foreach (mb_str_split(mb_substr(implode('', $words), 1)) as $letter) {
            yield $first.mb_strtolower($letter);
        }
        foreach ([...range(2, 9), ...range('a', 'z')] as $further) {
            yield $first.$further;
        }
    }
}
