<?php

declare(strict_types=1);

namespace Destino\Notation;

/** What is asked where "or" can be meant in several ways, with each way written out. */
final readonly class ChoiceQuestions
{
    /**
     * "not Pastel or Enchi" may mean neither, or one of two.
     *
     * @param string $word "not", "no" or "without"
     */
    public static function neither(string $word, string $piece, int $from): NotationError
    {
        $parts = self::parts($piece);
        $rest = array_slice($parts, 1);
        $neither = [$parts[0], ...array_map(
            static fn (string $part): string => preg_match('/^(?:not|no|without)\b/iu', $part) === 1 ? $part : "{$word} {$part}", $rest,
        )];

        return NotationError::question($piece, $from, "Does “{$word}” speak of all of them?", [
            implode(' + ', $neither), self::either($parts),
        ]);
    }

    /**
     * "Pastel Clown or Enchi Clown" can be grouped in two ways.
     *
     * @param string $before what stands before the piece with the "or", and what after it
     */
    public static function brackets(string $before, string $piece, string $after, string $whole, int $from): NotationError
    {
        $joined = array_filter([$before, "({$piece})", $after], static fn (string $part): bool => $part !== '');

        return NotationError::question($whole, $from, 'Put brackets where genes belong together.', [
            self::either(self::parts($whole)), implode(' + ', $joined),
        ]);
    }

    /** @return non-empty-list<string> */
    private static function parts(string $text): array
    {
        return explode(' or ', (string) preg_replace('/\s+or\s+/iu', ' or ', $text));
    }

    /** @param list<string> $parts */
    private static function either(array $parts): string
    {
        return implode(' or ', array_map(static fn (string $part): string => "({$part})", $parts));
    }
}
