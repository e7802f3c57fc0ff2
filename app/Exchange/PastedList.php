<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * A message or an advert of several animals, one a line, as a table with headings: what stands beside the genes goes into its own column
 * where it is clear, and the rest is left to the notation. Nothing of a line is lost: what was taken out stands in the notes as written.
 */
final class PastedList
{
    public const MOST_LINES = 500;

    public const HEADINGS = ['Name', 'Sex', 'Genes', 'Hatched', 'Weight', 'Notes'];

    private const NAME = '~[“"„](?<name>[^”"“]{1,40})[”"“]~u';

    private const SEX = '~(?:^\s*(?<sex>1\.0|0\.1)(?!\d)|(?<![\p{L}(])(?<word>females?|males?)(?![\p{L}]|\s+maker))~iu';

    private const WEIGHT = '~(?<![\d.,])(?<weight>\d[\d.,]*\s?(?:g|gr|grams?|kg))(?![\p{L}\d])~iu';

    private const YEAR = '~(?<![\d.,])(?:c\.?b\.?b?\'?\s?|(?:hatch(?:ed| date)?|born|d\.?o\.?b\.?|date of birth)\s*:?\s*(?:in\s+|on\s+)?)?'
        .'(?<year>\d{1,2}[./-]\d{1,2}[./-](?:\d{4}|\d\d)|(?:19|20)\d\d-\d\d(?:-\d\d)?|\d{1,2}[./-](?:19|20)\d\d'
        .'|(?:\d{1,2}\s+)?(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?\s+(?:\d{1,2},\s*)?(?:19|20)\d\d'
        .'|(?:19|20)\d\d|[\'’]\d\d)(?!\d|[.,]\d|\s?%)~iu';

    /** A name before a colon, unless the word is a label of something else. */
    private const CALLED = '~^\s*(?!(?i:sire|dam|father|mother|parents|genes|genetics|morph|price|sex|male|female|sold|reserved|on hold|available|'
        .'hets?|weight|born|hatched|dob|for sale)\b)(?<name>\p{Lu}[\p{L}\p{N}\'’ -]{0,30}):\s~u';

    private const MONEY = '~(?:[$€£]\s?\d[\d.,]*k?|\d[\d.,]*\s?(?:[$€£](?!\s?\d)|eur\b|euros?\b|usd\b|gbp\b|dollars?\b))(?:\s+obo)?~iu';

    private const WORDS = '~(?<![\p{L}\d])(?:sold|reserved|on hold|available|not for sale|for sale|nfs|obo)(?![\p{L}\d])~iu';

    /** @return list<array{string, string, string, string, string, string}> a row for each line that says something */
    public static function rows(string $text): array
    {
        $rows = [];
        foreach (preg_split('/\R/u', mb_scrub($text, 'UTF-8')) ?: [] as $line) {
            $line = trim((string) preg_replace('~^\s*(?:[•*·–—-]|\d{1,3}[.)](?!\d))\s*~u', '', $line));
            preg_match('/\p{L}/u', $line) === 1 && $rows[] = self::row($line);
        }

        return $rows;
    }

    /** @return array{string, string, string, string, string, string} */
    private static function row(string $line): array
    {
        $left = $line;
        [$money, $left] = self::takeOut(self::MONEY, $left, null); // before years and weights, which may be a part of it
        [$weight, $left] = self::takeOut(self::WEIGHT, $left, 'weight');
        [$year, $left] = self::takeOut(self::YEAR, $left, 'year');
        [$name, $left] = self::takeOut(self::NAME, $left, 'name');
        [$called, $left] = $name === '' ? self::takeOut(self::CALLED, $left, 'name') : ['', $left];
        $name = $name === '' ? $called : $name;
        $year = (string) preg_replace('~^[\'’](\d\d)$~u', '20$1', $year);
        [$sex, $left] = self::takeOut(self::SEX, $left, null);
        [$words, $left] = self::takeOut(self::WORDS, $left, null);
        $genes = trim((string) preg_replace(['~\(\s*[,;]*\s*\)~u', '~\s*[,;|/–—-]+\s*(?=[,;|]|$)~u', '~\s{2,}~u'], ['', '', ' '], $left), " ,;|\t");
        $sex = match (mb_strtolower(rtrim($sex, 'sS'))) {
            '1.0', 'male' => 'male',
            '0.1', 'female' => 'female',
            default => '',
        };
        $isWhole = $money.$weight.$year.$name.$words === '';

        return [$name, $sex, $genes, $year, $weight, $isWhole ? '' : "As written: {$line}"];
    }

    /**
     * @param string|null $part of what is found that is meant; null for all of it
     * @return array{string, string} what it is, and the line without it; of two that could be meant none is taken
     */
    private static function takeOut(string $pattern, string $line, ?string $part): array
    {
        $count = preg_match_all($pattern, $line, $found);
        if ($count !== 1) {
            return ['', $line];
        }

        return [trim($found[$part ?? 0][0]), (string) preg_replace($pattern, ' ', $line)];
    }

    /** @return array{weight: string, year: string} what stands beside the genes of one animal; empty where it is not there once */
    public static function beside(string $line): array
    {
        [, , , $year, $weight] = self::row($line);

        return ['weight' => $weight, 'year' => $year];
    }

    /** The same as CSV. */
    public static function csv(string $text): string
    {
        $out = fopen('php://temp', 'r+');
        if ($out === false) {
            return '';
        }
        fputcsv($out, self::HEADINGS, ',', '"', '');
        foreach (self::rows($text) as $row) {
            fputcsv($out, $row, ',', '"', '');
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }
}
