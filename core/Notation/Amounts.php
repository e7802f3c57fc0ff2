<?php

declare(strict_types=1);

namespace Destino\Notation;

/** Reads how many copies and how likely: what stands before a gene's name and what stands behind it. */
final readonly class Amounts
{
    private Chances $chances;

    private Counts $counts;

    public Doses $doses;

    public function __construct(private TokenStream $stream, private NameIndex $names)
    {
        $this->chances = new Chances($stream);
        $this->counts = new Counts($stream, $names);
        $this->doses = new Doses($stream, $names);
    }

    /** @throws NotationError where a number is none that can be meant */
    public function read(): Announced
    {
        $isPossible = $this->doses->takePossible();
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
        $isPossible = $this->doses->takePossible() || $isPossible;
        [$count, $dose] = $count === null && $dose === Dose::Plain ? $this->counts->read() : [$count, $dose];
        $isList = $this->counts->beginsList();
        $dose = $dose === Dose::Plain ? $this->doses->dose() : $dose;
        $chance ??= $dose === Dose::Het && $this->stream->current()->is(TokenType::Number) ? $this->chances->read() : null; // "het 66% Clown"

        return new Announced($dose, $chance, $count ?? 1, $isPossible, $isList);
    }

    /** @phpstan-impure the stream moves */
    private function isAtName(): bool
    {
        return $this->names->match($this->stream) !== null;
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
}
