<?php

declare(strict_types=1);

namespace Destino\Notation;

/** Reads how many genes or copies a word in front speaks of. */
final readonly class Counts
{
    public function __construct(private TokenStream $stream, private NameIndex $names) {}

    /**
     * "double het", "dh", "3x het": how many hets follow; "2x Pastel": two copies.
     *
     * @return array{int|null, Dose}
     */
    public function read(): array
    {
        $token = $this->stream->current();
        if ($this->names->match($this->stream) !== null) {
            return [null, Dose::Plain];
        }
        $word = Keyword::of($token);
        if ($word === Keyword::DoubleHet || $word === Keyword::TripleHet) {
            $this->stream->advanceWord();

            return [$word === Keyword::DoubleHet ? 2 : 3, Dose::Het];
        }
        $next = $this->stream->peek($this->stream->peek()->text === '.' ? 2 : 1);
        $count = $token->is(TokenType::Word) ? Keyword::multiples()[$token->word] ?? null : null;
        if ($count !== null && in_array(Keyword::of($next), [Keyword::Het, Keyword::Hets], true)) {
            $this->stream->advanceWord();

            return [$count, Dose::Plain];
        }
        if (
            $token->is(TokenType::Number)
            && $this->stream->peek()->isWord('x')
            && $this->stream->peek()->from === $token->to + 1
            && in_array($token->text, ['2', '3', '4'], true)
        ) {
            $isHet = in_array(Keyword::of($this->stream->peek(2)), [Keyword::Het, Keyword::Hets], true);
            if ($isHet || $token->text === '2') {
                $this->stream->advance(2);

                return $isHet ? [(int) $token->text, Dose::Plain] : [null, Dose::Two];
            }
        }

        return [null, Dose::Plain];
    }

    /** "hets …", "het for …", "hets: …": all recessives that follow are meant. */
    public function beginsList(): bool
    {
        if ($this->names->match($this->stream) !== null) {
            return false;
        }
        $word = Keyword::of($this->stream->current());
        $next = $this->stream->peek();

        return $word === Keyword::Hets || ($word === Keyword::Het && ($next->isWord('for') || $next->text === ':'));
    }
}
