<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Inheritance;

/** All names of a catalogue, found by the longest match; parentheses inside a name may be left out. */
final class NameIndex
{
    /** @var array<array-key, Name> by words joined with a space (a name of digits alone becomes an integer key) */
    private array $names = [];

    /** @var array<string, true> every beginning of a name, and every whole one */
    private array $beginnings = [];

    public function __construct(Catalogue $catalogue)
    {
        foreach ($catalogue->alleles as $allele) {
            foreach ([$allele->name, ...$allele->aliases] as $name) {
                $this->add($name, new Name(NameKind::Allele, $allele->name, [$allele->key]));
            }
        }
        foreach ($catalogue->alleles as $allele) {
            $names = $allele->inheritance === Inheritance::Recessive ? [] : [$allele->twoCopyName, ...$allele->twoCopyAliases];
            foreach ($names as $name) {
                $this->add($name, new Name(NameKind::TwoCopies, $allele->twoCopyName, [$allele->key, $allele->key]));
            }
        }
        foreach ($catalogue->loci as $locus) {
            foreach ($catalogue->formsAt($locus->key) as $form) {
                if (! $form->isCompound()) {
                    continue;
                }
                $pair = $form->pair;
                sort($pair);
                foreach ([$form->knownAs, ...$catalogue->compoundAliases[implode('/', $pair)] ?? []] as $name) {
                    $this->add($name ?? '', new Name(NameKind::Compound, $form->text, $form->pair));
                }
            }
        }
        foreach ($catalogue->sharedNames as $shared) {
            foreach ([$shared->name, ...$shared->aliases] as $name) {
                $this->add($name, new Name(NameKind::Shared, $shared->name, [], '', $shared->choices, $shared->question));
            }
        }
        foreach ($catalogue->nicknames as $nickname) {
            $this->add($nickname->name, new Name(NameKind::Nickname, $nickname->name, [], $nickname->means));
        }
    }

    /**
     * The longest name at the current token; the stream is left where it was.
     *
     * @return array{Name, int}|null the name and how many tokens it takes
     */
    public function match(TokenStream $stream): ?array
    {
        $words = [];
        $open = 0;
        $best = null;
        foreach ($stream->rest() as $i => $token) {
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
     * The nearest names to a piece that is none.
     *
     * @return list<string> at most three, nearest first
     */
    public function suggestions(string $piece): array
    {
        $wanted = self::key($piece);
        if ($wanted === '' || strlen($wanted) > 60) {
            return [];
        }
        $found = [];
        foreach ($this->names as $key => $name) {
            $key = (string) $key;
            $distance = levenshtein($wanted, $key);
            if (strlen($wanted) >= 3 && str_starts_with($key, $wanted)) {
                $distance = min($distance, 1);
            }
            if ($distance <= max(1, intdiv(strlen($wanted), 3))) {
                $found[$name->text] = min($found[$name->text] ?? PHP_INT_MAX, $distance);
            }
        }
        asort($found);

        return array_slice(array_map(strval(...), array_keys($found)), 0, 3);
    }

    private function add(string $name, Name $meaning): void
    {
        $key = self::key($name);
        if ($key === '' || isset($this->names[$key])) {
            return;
        }
        $this->names[$key] = $meaning;
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
