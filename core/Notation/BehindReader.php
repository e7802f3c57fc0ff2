<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;

/** Reads what stands behind the name of a form. */
final readonly class BehindReader
{
    private Chances $chances;

    private Doses $doses;

    public function __construct(private TokenStream $stream, private NameIndex $names)
    {
        $this->chances = new Chances($stream);
        $this->doses = new Doses($stream, $names);
    }

    /**
     * What stands behind a form.
     *
     * @param non-empty-list<list<string>> $choices
     *
     * @throws NotationError where it cannot be meant
     */
    public function read(array $choices, Catalogue $catalogue): Behind
    {
        $alleles = $choices[0];
        $allele = $catalogue->allele($alleles[0] ?? '');
        [$dose, $chance, $twoCopies, $maker] = [Dose::Plain, null, null, null];
        $isUnsure = $isInParentheses = false;
        while (true) {
            $token = $this->stream->current();
            $word = $this->names->match($this->stream) === null ? Keyword::of($token) : null;
            if ($this->isMakerOfAnother($allele, $catalogue)) {
                break;
            }
            if ($token->is(TokenType::Open)) {
                if ($this->takeSaidAgain($alleles, $catalogue)) {
                    continue; // "Calico (Sugar)", "Super Mojave (BEL)"
                }
                $inner = $this->inParentheses();
                $dose = $inner->dose === Dose::Plain ? $dose : $inner->dose;
                [$chance, $twoCopies, $maker] = [$inner->chance ?? $chance, $inner->twoCopies ?? $twoCopies, $inner->maker ?? $maker];
                [$isUnsure, $isInParentheses] = [$isUnsure || $inner->isUnsure, true];
                $maker === null ? null : $this->requireOneCopy($alleles, $token);
            } elseif ($token->text === '?') {
                $this->stream->advance();
                $isUnsure = true;
            } elseif ($word === Keyword::Maker) {
                $this->stream->advanceWord();
                $maker = $token->isWord('mm') ? Sex::Male : Sex::Female;
                $this->requireOneCopy($alleles, $token);
            } elseif ($this->isTwice()) {
                $this->stream->advance($token->isWord('x2') ? 1 : 2);
                $dose = Dose::Two;
            } elseif (($word === Keyword::Het && $this->endsAfter(1)) && $allele->inheritance === Inheritance::Recessive && $this->takeHet()) {
                $dose = Dose::Het;
            } elseif ($chance === null && $this->isShare($token)) {
                $chance = $this->chances->read();
                $dose = $this->takeHet() ? Dose::Het : $dose; // "Clown 66% het"
            } else {
                break;
            }
        }

        return new Behind($dose, $chance, $twoCopies, $maker, $isUnsure, $isInParentheses);
    }

    private function takeHet(): bool
    {
        $is = Keyword::of($this->stream->current()) === Keyword::Het;
        if ($is) {
            $this->stream->advanceWord();
        }

        return $is;
    }

    /** "male maker" behind a gene that is not linked to sex belongs to another gene of the text (MakerWord). */
    private function isMakerOfAnother(Allele $allele, Catalogue $catalogue): bool
    {
        return MakerWord::at($this->stream, $this->stream->current()->is(TokenType::Open) ? 1 : 0)[0] !== null
            && ! $catalogue->groupOf($allele->locus)->holdsSex();
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

    /** @param list<string> $alleles of the form before it: another name of the same in parentheses says nothing more */
    private function takeSaidAgain(array $alleles, Catalogue $catalogue): bool
    {
        $before = $this->stream->previous();
        $this->stream->advance();
        [$name, $length] = $this->names->match($this->stream) ?? [null, 0];
        $form = count($alleles) === 2 ? $catalogue->form($catalogue->allele($alleles[0])->locus, ...$alleles)->text : '';
        $isSame = $name !== null && ($name->alleles === $alleles || in_array($form, $name->choices, true));
        if ($isSame && $this->stream->peek($length)->is(TokenType::Close)) {
            $this->stream->advance($length + 1);

            return true;
        }
        if ($name?->kind === NameKind::Allele && count($alleles) === 1 && $this->stream->peek($length)->is(TokenType::Close)) {
            [$own, $other] = [$catalogue->allele($alleles[0]), $catalogue->allele($name->alleles[0])];
            if ($own->locus === $other->locus) { // "Banana (Coral Glow)": one of two names that are taken for each other
                $this->stream->advance($length + 1);
                throw NotationError::question(
                    $this->stream->slice($before->from, $this->stream->previous()->to), $before->from, 'Say which of the two names it has.',
                    [$own->name, $other->name, "{$own->name} or {$other->name}"],
                );
            }
        }
        $this->stream->rewindBehind($before);

        return false;
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
        $isPossible = $this->doses->takePossible();
        $chance = $this->chances->read();
        if ($chance !== null && $this->stream->take('two')) {
            $this->stream->take('copies');

            return new Behind(twoCopies: $chance);
        }
        $isPossible = $this->doses->takePossible() || $isPossible || $this->stream->current()->text === '?';
        $this->stream->advance($this->stream->current()->text === '?' ? 1 : 0);
        $dose = $this->doses->dose();
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
    private function requireOneCopy(array $alleles, Token $open): void
    {
        if (count($alleles) === 2) {
            throw NotationError::misplaced('(… maker)', $open->from, 'with two copies both sex chromosomes carry it.');
        }
    }
}
