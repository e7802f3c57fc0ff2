<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;

/** Reads how many copies and how likely: what stands before a gene's name and what stands behind it. */
final readonly class Amounts
{
    private Chances $chances;

    private Counts $counts;

    public function __construct(private TokenStream $stream, private NameIndex $names)
    {
        $this->chances = new Chances($stream);
        $this->counts = new Counts($stream, $names);
    }

    /** @throws NotationError where a number is none that can be meant */
    public function read(): Announced
    {
        $isPossible = $this->takePossible();
        [$count, $dose] = $this->counts->read();
        $chance = $count === null && ! $this->isAtName() ? $this->chances->read() : null;
        if (
            $chance !== null
            && $this->names->match($this->stream) === null
            && Keyword::of($this->stream->current()) === Keyword::PossibleHet
        ) {
            $this->stream->advanceWord();

            return new Announced(Dose::Het, $chance); // "66% ph Clown"
        }
        $isPossible = $this->takePossible() || $isPossible;
        [$count, $dose] = $count === null && $dose === Dose::Plain ? $this->counts->read() : [$count, $dose];
        $isList = $this->counts->beginsList();
        $dose = $dose === Dose::Plain ? $this->dose() : $dose;
        $chance ??= $dose === Dose::Het && $this->stream->current()->is(TokenType::Number) ? $this->chances->read() : null; // "het 66% Clown"

        return new Announced($dose, $chance, $count ?? 1, $isPossible, $isList);
    }

    /** @phpstan-impure the stream moves */
    private function isAtName(): bool
    {
        return $this->names->match($this->stream) !== null;
    }

    /** Words that say how many copies the next gene has. */
    public function dose(): Dose
    {
        $dose = Dose::Plain;
        while ($this->names->match($this->stream) === null) {
            $next = match (Keyword::of($this->stream->current())) {
                Keyword::Het, Keyword::Hets => Dose::Het,
                Keyword::Two => Dose::Two,
                Keyword::Visual => Dose::Visual,
                default => preg_match('/^x2$/', $this->stream->current()->word) === 1 ? Dose::Two : null,
            };
            if ($next === null) {
                break;
            }
            $dose = $next;
            $this->stream->advanceWord();
            $this->stream->take('for') || $this->takeColon();
        }

        return $dose;
    }

    /** "no", "without", "free of", "does not carry", "tested negative for". */
    public function takeWithout(): bool
    {
        foreach (
            [
                ['does', 'not', 'carry'], ["doesn't", 'carry'], ['tested', 'negative', 'for'], ['negative', 'for'],
                ['free', 'of'], ['no'], ['without'],
            ] as $words
        ) {
            foreach ($words as $i => $word) {
                if (! ($i === 0 ? $this->stream->current() : $this->stream->peek($i))->isWord($word)) {
                    continue 2;
                }
            }
            $this->stream->advance(count($words));

            return true;
        }

        return false;
    }

    /**
     * What stands behind a form.
     *
     * @param non-empty-list<list<string>> $choices
     *
     * @throws NotationError where it cannot be meant
     */
    public function behind(array $choices, Catalogue $catalogue): Behind
    {
        $alleles = $choices[0];
        $allele = $catalogue->allele($alleles[0] ?? '');
        [$dose, $chance, $twoCopies, $maker] = [Dose::Plain, null, null, null];
        $isUnsure = $isInParentheses = false;
        while (true) {
            $token = $this->stream->current();
            $word = $this->names->match($this->stream) === null ? Keyword::of($token) : null;
            if ($token->is(TokenType::Open)) {
                $inner = $this->inParentheses();
                $dose = $inner->dose === Dose::Plain ? $dose : $inner->dose;
                [$chance, $twoCopies, $maker] = [$inner->chance ?? $chance, $inner->twoCopies ?? $twoCopies, $inner->maker ?? $maker];
                [$isUnsure, $isInParentheses] = [$isUnsure || $inner->isUnsure, true];
                $maker === null ? null : $this->requireSexLinked($alleles, $token, $catalogue);
            } elseif ($token->text === '?') {
                $this->stream->advance();
                $isUnsure = true;
            } elseif ($word === Keyword::Maker) {
                $this->stream->advanceWord();
                $maker = $token->isWord('mm') ? Sex::Male : Sex::Female;
                $this->requireSexLinked($alleles, $token, $catalogue);
            } elseif ($this->isTwice()) {
                $this->stream->advance($token->isWord('x2') ? 1 : 2);
                $dose = Dose::Two;
            } elseif (($word === Keyword::Het && $this->endsAfter(1)) && $allele->inheritance === Inheritance::Recessive) {
                $this->stream->advanceWord();
                $dose = Dose::Het;
            } elseif ($chance === null && $this->isShare($token)) {
                $chance = $this->chances->read();
                if (Keyword::of($this->stream->current()) === Keyword::Het) { // "Clown 66% het"
                    $this->stream->advanceWord();
                    $dose = Dose::Het;
                }
            } else {
                return new Behind($dose, $chance, $twoCopies, $maker, $isUnsure, $isInParentheses);
            }
        }
    }

    /** "66%" or "66% het" at the end of a piece. */
    private function isShare(Token $token): bool
    {
        return $token->is(TokenType::Number)
            && $this->stream->peek()->is(TokenType::Percent)
            && ($this->endsAfter(2) || (Keyword::of($this->stream->peek(2)) === Keyword::Het && $this->endsAfter(3)));
    }

    /** Whether the piece ends after so many tokens, so that these belong to what stands before. */
    private function endsAfter(int $tokens): bool
    {
        $next = $this->stream->peek($tokens);
        if ($next->text === '.' && $next->from === $this->stream->peek($tokens - 1)->to + 1) {
            $next = $this->stream->peek($tokens + 1);
        }

        return $next->is(TokenType::End)
            || $next->is(TokenType::Separator)
            || $next->is(TokenType::Close)
            || $next->isWord('and', 'with', 'or');
    }

    private function isTwice(): bool
    {
        return $this->stream->current()->isWord('x2')
            || (
                $this->stream->current()->text === '2'
                && $this->stream->peek()->isWord('x')
                && $this->stream->peek()->from === $this->stream->current()->to + 1
                && ! $this->isNameAt(2)
            );
    }

    private function isNameAt(int $ahead): bool
    {
        return $this->stream->peek($ahead)->is(TokenType::Word);
    }

    /** @throws NotationError */
    private function inParentheses(): Behind
    {
        $open = $this->stream->current();
        $this->stream->advance();
        $behind = $this->parenthesised($open);
        if (! $this->stream->takeType(TokenType::Close)) {
            throw NotationError::misplaced('(', $open->from, 'this parenthesis is not closed.');
        }

        return $behind;
    }

    private function parenthesised(Token $open): Behind
    {
        $sex = Sex::tryFrom($this->stream->current()->word);
        if ($sex !== null && $this->stream->peek()->isWord('maker')) {
            $this->stream->advance(2);

            return new Behind(maker: $sex);
        }
        $word = Keyword::of($this->stream->current());
        if ($word === Keyword::Maker) {
            $maker = $this->stream->current()->isWord('mm') ? Sex::Male : Sex::Female;
            $this->stream->advanceWord();

            return new Behind(maker: $maker);
        }
        $isPossible = $this->takePossible();
        $chance = $this->chances->read();
        if ($chance !== null && $this->stream->take('two')) {
            $this->stream->take('copies');

            return new Behind(twoCopies: $chance);
        }
        $isPossible = $this->takePossible() || $isPossible || $this->stream->current()->text === '?';
        $this->stream->advance($this->stream->current()->text === '?' ? 1 : 0);
        $dose = $this->dose();
        if (
            ! $this->stream->current()->is(TokenType::Close)
            && ! $this->stream->atEnd()
            || ($dose === Dose::Plain && $chance === null && ! $isPossible)
        ) {
            $this->failIn($open);
        }

        return new Behind($dose, $chance, isUnsure: $isPossible && $chance === null);
    }

    private function failIn(Token $open): never
    {
        if (! $this->stream->hasAhead(TokenType::Close) && ! $this->stream->current()->is(TokenType::Close)) {
            throw NotationError::misplaced('(', $open->from, 'this parenthesis is not closed.');
        }
        while (! $this->stream->atEnd() && ! $this->stream->takeType(TokenType::Close)) {
            $this->stream->advance();
        }
        $piece = $this->stream->slice($open->from, $this->stream->previous()->to);
        throw NotationError::misplaced(
            $piece, $open->from, 'in parentheses stand a chance, “(60%)” or “(33% two copies)”, “(het)” or “(male maker)”.',
        );
    }

    /** @param list<string> $alleles */
    private function requireSexLinked(array $alleles, Token $open, Catalogue $catalogue): void
    {
        $allele = $catalogue->allele($alleles[0] ?? '');
        if (! $catalogue->groupOf($allele->locus)->holdsSex()) {
            throw NotationError::misplaced(
                '(… maker)', $open->from,
                "{$allele->name} is not linked to sex, so it makes neither more males nor more females.", [$allele->name],
            );
        }
        if (count($alleles) === 2) {
            throw NotationError::misplaced('(… maker)', $open->from, 'with two copies both sex chromosomes carry it.');
        }
    }

    private function takeColon(): bool
    {
        $is = $this->stream->current()->text === ':';
        $this->stream->advance($is ? 1 : 0);

        return $is;
    }

    private function takePossible(): bool
    {
        if ($this->names->match($this->stream) !== null) {
            return false;
        }
        if (Keyword::of($this->stream->current()) === Keyword::Possible) {
            $this->stream->advanceWord();

            return true;
        }
        if (Keyword::of($this->stream->current()) === Keyword::PossibleHet) { // "ph Clown": how likely is then asked
            $this->stream->readAs('het');

            return true;
        }
        if ($this->stream->current()->isWord('may') && $this->stream->peek()->isWord('carry')) {
            $this->stream->advance(2);

            return true;
        }

        return false;
    }
}
