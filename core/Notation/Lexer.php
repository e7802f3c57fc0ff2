<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Spelling;

/** Cuts typed text into tokens. Hyphens inside names and white space separate words and are not tokens. */
final readonly class Lexer
{
    private const PATTERN = <<<'REGEX'
        ~(?<word>\p{L}[\p{L}\p{M}\p{N}'’]*)
        |(?<number>\p{Nd}+(?:[.,]\p{Nd}+)?)
        |(?<percent>%)
        |(?<slash>/)
        |(?<separator>[,;+&.])
        |(?<open>\()
        |(?<close>\))
        |(?<other>[^\s\-‐‑–])~xu
        REGEX;

    /** @return list<Token> always ended by one of type End */
    public static function tokens(string $text): array
    {
        $tokens = [];
        $text = mb_scrub($text, 'UTF-8');
        preg_match_all(self::PATTERN, $text, $matches, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL);
        $bytes = $characters = 0;
        foreach ($matches as $match) {
            [$piece, $offset] = $match[0];
            $characters += mb_strlen(substr($text, $bytes, $offset - $bytes));
            $bytes = $offset;
            $tokens[] = new Token(
                self::type($match), (string) $piece, Spelling::fold((string) $piece), $characters + 1,
                $characters + mb_strlen((string) $piece),
            );
        }
        $end = mb_strlen($text) + 1;
        $tokens[] = new Token(TokenType::End, '', '', $end, $end);

        return $tokens;
    }

    /** @param array<array-key, array{string|null, int}> $match */
    private static function type(array $match): TokenType
    {
        return match (true) {
            ($match['word'][0] ?? null) !== null => TokenType::Word,
            ($match['number'][0] ?? null) !== null => TokenType::Number,
            ($match['percent'][0] ?? null) !== null => TokenType::Percent,
            ($match['slash'][0] ?? null) !== null => TokenType::Slash,
            ($match['separator'][0] ?? null) !== null => TokenType::Separator,
            ($match['open'][0] ?? null) !== null => TokenType::Open,
            ($match['close'][0] ?? null) !== null => TokenType::Close,
            default => TokenType::Other,
        };
    }
}
