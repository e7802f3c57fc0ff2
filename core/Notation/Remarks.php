<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Sex;

/**
 * What lists and adverts write beside the genes and is no gene: age, price, weight, year, "sold", names in quotes, bullets. Each is left
 * out of the genes with a note, in place, so that what is said of the rest stands where it was typed; and some ways of writing are put
 * as the notation has them.
 */
final class Remarks
{
    private const WORDS = 'sub-?adults?|adults?|juveniles?|juvies?|yearlings?|hatchlings?|breeders?|sold|available|on hold|reserved|'
        .'not for sale|for sale|nfs|obo|or best offer|firm|shipped|shipping included|(?:plus|\+)\s?shipping|captive bred|ball pythons?|'
        .'python regius|(?:un)?proven(?:\s*(?:\dx|x\d))?(?:\s+(?:fe)?males?)?(?:\s+breeders?)?|virgin|hold-?backs?|(?:un)?sexed|'
        .'sex\s+unknown|unknown\s+sex|'
        .'(?:low|high|heavy|reduced)[\s-](?:white|expression|contrast|pattern|blushing|black)|(?:great|good|awesome|strong)\s+eaters?|'
        .'(?:very\s+)?(?:big|large|huge|jumbo|nice|pretty|gorgeous|stunning|beautiful|clean|bright|dark)(?:\s+(?:girls?|boys?|animals?|snakes?))?|'
        .'ready to (?:go|breed)|(?:(?:small|slight|minor)\s+)?(?:tail\s+)?kinks?|(?:missing\s+|nub\s+)tail(?:\s+tip)?|'
        .'breeder\s+size|\d(?:st|nd|rd|th)\s+gen(?:eration)?|'
        .'free\s+shipping|trades?|(?:laid|gave)\s+\d+\s+eggs?|'
        .'(?:tub|rack|bin|cage)\s+[\w-]*\d[\w-]*|(?:morph|genes|genetics)(?=\s*:)|'
        .'\d+(?:[.,]\d)?\s?-?(?:years?|yrs?|y/?o|months?|mos?|weeks?|wks?)(?:\s+old)?';

    /** What it eats: up to the next comma or dash. */
    private const FOOD = '(?:eats|eating|feeds|feeding|takes|taking|on)\s+(?:on\s+)?(?:f/?t|frozen|live|rats?|mice|mouse|asf|pinkies|fuzz|hoppers)'
        .'[^,;|–—()-]*';

    private const DATE = '(?:\d{1,2}[./-]\d{1,2}[./-](?:\d{4}|\d\d)|(?:19|20)\d\d-\d\d(?:-\d\d)?'
        .'|(?:\d{1,2}\s+)?(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?\s+(?:\d{1,2},\s*)?(?:19|20)\d\d)';

    private const MONEY = '(?:(?:price|asking)\s*:?\s*)?(?:[$€£]\s?\d[\d.,]*k?|(?:eur|usd|gbp|chf)\s?\d[\d.,]*|'
        .'\d[\d.,]*\s?(?:[$€£](?!\s?\d)|eur\b|euros?\b|usd\b|gbp\b|chf\b|dollars?\b)|\d+,-|\d{3,}[.,]\d\d(?!\s?%))|(?:price|asking)\s*:?\s*\d[\d.,]*';

    private const WEIGHT = '(?:(?:weight|weighs|weighing|wt)\s*:?\s*)?\d[\d.,]*\s?(?:g|gr|grams?|k\s?grams?|kg|oz|lbs?)\b|(?:weight|weighs|wt)\s*:?\s*\d+';

    private const YEAR = '(?:c\.?b\.?b?\'?\s?(?:(?:19|20)\d\d|\d\d)'
        .'|(?:hatch(?:ed| date)?|born|bred|laid|d\.?o\.?b\.?|date of birth)\s*:?\s*(?:in\s+|on\s+)?'
        .'(?:'.self::DATE.'|\d{1,2}[./-](?:(?:19|20)\d\d|\d\d)|(?:19|20)\d\d|[\'’]\d\d)'
        .'|'.self::DATE.'|\d{1,2}[./-](?:19|20)\d\d|[\'’]\d\d(?!\s?%)|\d\d[\'’](?!\p{N})|(?:19|20)\d\d(?!\s?%))';

    private const SIGNS = '^\s*[•*·–—]+|[\x{1F000}-\x{1FAFF}\x{2600}-\x{263F}\x{2643}-\x{27BF}\x{FE0F}]+';

    /** The text without them, as long as it was. */
    public readonly string $text;

    /** @var list<string> */
    public readonly array $notes;

    public function __construct(public readonly string $typed, private readonly NameIndex $names)
    {
        $notes = [];
        $pattern = '~(?<quoted>[“"][^”"]{1,40}[”"])|(?<food>(?<![\p{L}\p{N}])'.self::FOOD.')|(?<bracket>\(\s*\p{L}[\p{L}\s.\'’!-]{2,40}\))'
            .'|(?<![\p{L}\p{N}])\(?\s*(?:'.self::WORDS.'|'.self::MONEY.'|'.self::WEIGHT.'|'.self::YEAR
            .')(?![\p{L}\p{N}])\s*:?\s*\)?|'.self::SIGNS.'~iu';
        $left = preg_replace_callback($pattern, function (array $found) use (&$notes): string {
            $piece = trim($found[0], ' :');
            if (! $this->isLeftOut($found, $piece)) {
                return $found['quoted'] === null ? $found[0] : ' '.mb_substr($found[0], 1, -1).' '; // genes in quotes are genes
            }
            preg_match('/[\p{L}\p{N}]/u', $piece) === 1 ? $notes[] = "“{$piece}” is not read as a gene." : null;

            return str_repeat(' ', mb_strlen($found[0]));
        }, mb_scrub($typed, 'UTF-8'), flags: PREG_UNMATCHED_AS_NULL);
        $this->text = self::asNotation(self::percentages($left ?? $typed, $notes));
        $this->notes = $notes;
    }

    /** @param array<array-key, string|null> $found */
    private function isLeftOut(array $found, string $piece): bool
    {
        $inner = trim($piece, ' “”"()');

        return match (true) {
            $found['quoted'] !== null, $found['food'] !== null => ! $this->hasGene($inner),
            $found['bracket'] !== null => preg_match('~^(?:'.self::WORDS.')$~iu', $inner) === 1 || ! $this->maySayGenes($inner),
            default => ! $this->isName($inner) && ! self::isOneSided($piece),
        };
    }

    /** Whether words in parentheses may speak of genes, misspelt ones too: then they are asked about. */
    private function maySayGenes(string $inner): bool
    {
        if ($this->hasGene($inner) || Sex::tryFrom(strtolower($inner)) !== null || preg_match('/maker|copies|copy|line|carr/i', $inner) === 1) {
            return true;
        }
        foreach (explode(' ', $inner) as $word) {
            if (mb_strlen($word) > 3 && $this->names->suggestions($word) !== []) {
                return true;
            }
        }

        return $this->names->suggestions($inner) !== [];
    }

    /**
     * "66 het Clown" is 66% het.
     *
     * @param list<string> $notes added to
     */
    private static function percentages(string $text, array &$notes): string
    {
        return preg_replace_callback(
            '~(?<![\p{N}.,/-])(33|50|66|67|100)\s(?=(?:poss(?:ible)?\.?\s+)?hets?\b)~u',
            static function (array $found) use (&$notes): string {
                $notes[] = "“{$found[1]} het” is read as {$found[1]}% het.";

                return "{$found[1]}%";
            },
            $text,
        ) ?? $text;
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
        $text = strtr($text, ['[' => '(', ']' => ')', '|' => ',', '•' => ',', '·' => ',', '*' => ' ', '~' => ' ', '_' => ' ']);
        $text = preg_replace(['~(?<=\d)(\s?)percent\b~iu', '~\bw/(?=\s)~iu'], ['$1%      ', ', '], $text) ?? $text;
        $text = preg_replace_callback(
            '~\((\s*(?:(?:\d+\s?%\s*)?(?:poss(?:ible)?\.?\s+)?hets?\s+(?!\))[^()]+|fe?male\s*|male\s*|[mf]\s*))\)~iu',
            static fn (array $found): string => ",{$found[1]},", $text,
        ) ?? $text;
        $text = preg_replace('~\?(\p{L}+)~u', '$1?', $text) ?? $text;
        $text = preg_replace_callback(
            '~(?<![\p{L}\p{N}])(?:id|nr|no|number)[.:]?\s*#?(?=[\p{L}-]{0,3}\d)~iu',
            static fn (array $found): string => str_pad('#', mb_strlen($found[0]), ' ', STR_PAD_LEFT), $text,
        ) ?? $text;

        return preg_replace_callback(
            '~(?<!\()\b((?:fe)?male) maker\b~iu',
            static fn (array $found): string => str_pad(strtolower($found[1]) === 'male' ? 'mm' : 'fm', strlen($found[0])), $text,
        ) ?? $text;
    }
}
