<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Spelling;

/** All names of a catalogue, found by the longest match; parentheses inside a name may be left out. */
final class NameIndex
{
    private const DOSES = [Keyword::Het, Keyword::Hets, Keyword::Two, Keyword::Homozygous, Keyword::Visual];

    /** @var array<array-key, Name> by words joined with a space (a name of digits alone becomes an integer key) */
    private array $names = [];

    /** @var array<string, true> every beginning of a name, and every whole one */
    private array $beginnings = [];

    /** @var array<array-key, Name|null> by the words written as one; null where several names would be */
    private array $joined = [];

    public function __construct(Catalogue $catalogue)
    {
        foreach (CatalogueNames::of($catalogue) as [$name, $meaning]) {
            $this->add($name, $meaning);
        }
    }

    /**
     * The longest name at the current token; the stream is left where it was. A word that says how many copies is not part of a
     * name where a longer one follows it: "het Red Stripe" is a het of Red Stripe, and no stripe of the Het Red.
     *
     * @return array{Name, int}|null the name and how many tokens it takes
     */
    public function match(TokenStream $stream): ?array
    {
        $exact = $this->exact($stream);
        if ($exact !== null && $exact[1] > 1 && in_array(Keyword::of($stream->current()), self::DOSES, true)) {
            $behind = $this->exact($stream, 1);
            if ($behind !== null && $behind[1] + 1 > $exact[1]) {
                return null;
            }
        }

        return $exact ?? $this->loose($stream);
    }

    /**
     * @param int $from tokens that are passed over
     * @return array{Name, int}|null
     */
    private function exact(TokenStream $stream, int $from = 0): ?array
    {
        $words = [];
        $open = 0;
        $best = null;
        foreach (array_slice($stream->rest(), $from) as $i => $token) {
            if ($token->is(TokenType::Open) && $i > 0) {
                $open++;
            } elseif ($token->is(TokenType::Close) && $open > 0) {
                $open--;
            } elseif ($token->is(TokenType::Word) || $token->is(TokenType::Number)) {
                $words[] = $token->word;
            } else {
                break;
            }
            $key = implode(' ', $words);
            if (! isset($this->beginnings[$key])) {
                break;
            }
            if ($open === 0 && isset($this->names[$key])) {
                $best = [$this->names[$key], $i + 1];
            }
        }

        return $best;
    }

    /**
     * Words written together or apart, and in the plural ("BlackPastel", "killerbee", "Ivories"), where one name only can be
     * meant.
     *
     * @return array{Name, int}|null
     */
    private function loose(TokenStream $stream): ?array
    {
        $joined = '';
        $best = null;
        foreach (array_slice($stream->rest(), 0, 5) as $i => $token) {
            if (! $token->is(TokenType::Word) && ! ($i > 0 && $token->is(TokenType::Number))) {
                break;
            }
            $joined .= $token->word;
            foreach (self::singulars($joined) as $form) {
                $name = mb_strlen($form) >= 4 ? $this->joined[$form] ?? null : null;
                if ($name !== null && $best !== [$name, $i + 1]) {
                    $best = [$name, $i + 1];
                }
            }
        }

        return $best;
    }

    /** @return list<string> a word as it stands, and what it may be the plural of */
    private static function singulars(string $word): array
    {
        $forms = [
            $word, str_ends_with($word, 'ies') ? substr($word, 0, -3).'y' : null,
            str_ends_with($word, 'es') ? substr($word, 0, -2) : null, str_ends_with($word, 's') ? substr($word, 0, -1) : null,
        ];

        return array_values(array_filter($forms, is_string(...)));
    }

    /**
     * The nearest names and words of the notation to a piece that is none.
     *
     * @return list<string> at most three, nearest first
     */
    public function suggestions(string $piece): array
    {
        $wanted = self::key($piece);
        $together = [...$this->wordWithName($wanted), ...$this->cutApart($piece)];
        $known = Keyword::SPOKEN;
        foreach ($this->names as $key => $name) {
            if ($name->kind !== NameKind::Shared || $name->choices !== []) { // what only asks back corrects nothing
                $known[(string) $key] = $name->text;
            }
        }

        $near = array_filter(
            Spelling::nearest($wanted, $known), static fn (string $one): bool => self::key($one) !== $wanted, // a known word in a wrong place
        );

        return array_slice(array_values(array_unique([...$together, ...$near])), 0, 3);
    }

    /** @return list<string> "Pastel Enchi Clown" for "PastelEnchiClown" */
    private function cutApart(string $piece): array
    {
        $parts = preg_split('/(?<=\p{Ll})(?=\p{Lu})/u', $piece);
        $parts = $parts === false ? [] : $parts;
        $names = array_map(fn (string $part): ?string => ($this->names[self::key($part)] ?? null)?->text, $parts);

        return count($parts) < 2 || in_array(null, $names, true) ? [] : [implode(' ', $names)];
    }

    /** @return list<string> "het Clown" for "hetclown" */
    private function wordWithName(string $piece): array
    {
        foreach (['het', 'super', 'visual', 'possible'] as $word) {
            $rest = str_starts_with($piece, $word) ? trim(substr($piece, strlen($word))) : '';
            $name = $rest === '' ? null : $this->names[$rest] ?? $this->joined[$rest] ?? null;
            if ($name !== null) {
                return ["{$word} {$name->text}"];
            }
        }

        return [];
    }

    private function add(string $name, Name $meaning): void
    {
        $key = self::key($name);
        if ($key === '' || isset($this->names[$key])) {
            return;
        }
        $this->names[$key] = $meaning;
        $joined = str_replace(' ', '', $key);
        $isOther = array_key_exists($joined, $this->joined)
            && ($this->joined[$joined] === null || $this->joined[$joined]->text !== $meaning->text);
        $this->joined[$joined] = $isOther ? null : $meaning;
        $words = explode(' ', $key);
        for ($i = 1; $i <= count($words); $i++) {
            $this->beginnings[implode(' ', array_slice($words, 0, $i))] = true;
        }
    }

    private static function key(string $name): string
    {
        $words = [];
        foreach (Lexer::tokens($name) as $token) {
            if ($token->is(TokenType::Word) || $token->is(TokenType::Number)) {
                $words[] = $token->word;
            }
        }

        return implode(' ', $words);
    }
}
