<?php

declare(strict_types=1);

namespace Destino\Notation;

/**
 * What lists and adverts write beside the genes and is no gene: age, price, weight, year, "sold", names in quotes, bullets. Each is left
 * out of the genes with a note, in place, so that what is said of the rest stands where it was typed; and some ways of writing are put
 * as the notation has them.
 */
final class Remarks
{
    private const WORDS = 'sub-?adults?|adults?|juveniles?|juvies?|yearlings?|hatchlings?|breeders?|sold|available|on hold|reserved|'
        .'not for sale|for sale|nfs|obo|captive bred|ball pythons?|python regius';

    private const MONEY = '(?:[$€£]\s?\d[\d.,]*k?|\d[\d.,]*\s?(?:[$€£](?!\s?\d)|eur\b|euros?\b|usd\b|gbp\b|dollars?\b))';

    private const WEIGHT = '\d[\d.,]*\s?(?:g|gr|grams?|kg|oz|lbs?)\b';

    private const YEAR = "(?:c\\.?b\\.?b?'?\\s?(?:(?:19|20)\\d\\d|\\d\\d)|(?:hatched\\s+|born\\s+)(?:in\\s+)?(?:19|20)\\d\\d"
        .'|(?:19|20)\\d\\d(?!\\s?%))';

    private const SIGNS = '^\s*[•*·–—]+|[\x{1F000}-\x{1FAFF}\x{2600}-\x{263F}\x{2643}-\x{27BF}\x{FE0F}]+';

    /** The text without them, as long as it was. */
    public readonly string $text;

    /** @var list<string> */
    public readonly array $notes;

    public function __construct(public readonly string $typed, private readonly NameIndex $names)
    {
        $notes = [];
        $pattern = '~(?<quoted>[“"][^”"]{1,40}[”"])|(?<![\p{L}\p{N}])\(?\s*(?:'.self::WORDS.'|'.self::MONEY.'|'.self::WEIGHT.'|'.self::YEAR
            .')(?![\p{L}\p{N}])\s*\)?|'.self::SIGNS.'~iu';
        $left = preg_replace_callback($pattern, function (array $found) use (&$notes): string {
            $piece = trim($found[0]);
            $inner = trim($piece, ' “”"()');
            if (isset($found['quoted']) ? $this->hasGene($inner) : $this->isName($inner) || self::isOneSided($piece)) {
                return isset($found['quoted']) ? ' '.mb_substr($found[0], 1, -1).' ' : $found[0]; // genes in quotes are genes
            }
            preg_match('/[\p{L}\p{N}]/u', $piece) === 1 ? $notes[] = "“{$piece}” is no gene: it is left out." : null;

            return str_repeat(' ', mb_strlen($found[0]));
        }, mb_scrub($typed, 'UTF-8'));
        $this->text = self::asNotation($left ?? $typed);
        $this->notes = $notes;
    }

    private function isName(string $piece): bool
    {
        $stream = new TokenStream($piece);
        $match = $piece === '' ? null : $this->names->match($stream);

        return $match !== null;
    }

    /** Whether any word of it is a gene, or says how one is carried: then it is read, and what is not understood of it is asked. */
    private function hasGene(string $quoted): bool
    {
        $stream = new TokenStream($quoted);
        while (! $stream->atEnd()) {
            if ($this->names->match($stream) !== null || Keyword::of($stream->current()) !== null) {
                return true;
            }
            $stream->advance();
        }

        return false;
    }

    /** Half of a parenthesis belongs to something else. */
    private static function isOneSided(string $piece): bool
    {
        return str_starts_with($piece, '(') !== str_ends_with($piece, ')');
    }

    /** "(het clown)" is a statement of its own, "?enchi" a doubt of Enchi, "male maker" the same as in parentheses. */
    private static function asNotation(string $text): string
    {
        $text = preg_replace_callback(
            '~\((\s*(?:(?:\d+\s?%\s*)?(?:poss(?:ible)?\.?\s+)?hets?\s+(?!\))[^()]+|fe?male\s*|male\s*))\)~iu',
            static fn (array $found): string => ",{$found[1]},", $text,
        ) ?? $text;
        $text = preg_replace('~\?(\p{L}+)~u', '$1?', $text) ?? $text;

        return preg_replace_callback(
            '~(?<!\()\b((?:fe)?male) maker\b~iu',
            static fn (array $found): string => str_pad(strtolower($found[1]) === 'male' ? 'mm' : 'fm', strlen($found[0])), $text,
        ) ?? $text;
    }
}
