<?php

declare(strict_types=1);

namespace Destino\Notation;

/** Reads words of dose, and those that say that something is only possible. */
final readonly class Doses
{
    public function __construct(private TokenStream $stream, private NameIndex $names) {}

    /** Words that say how many copies the next gene has. */
    public function dose(): Dose
    {
        $dose = Dose::Plain;
        while ($this->names->match($this->stream) === null) {
            $next = match (Keyword::of($this->stream->current())) {
                Keyword::Het, Keyword::Hets => Dose::Het,
                Keyword::Two => Dose::Two,
                Keyword::Homozygous => Dose::Homozygous,
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

    private function takeColon(): bool
    {
        $is = $this->stream->current()->text === ':';
        $this->stream->advance($is ? 1 : 0);

        return $is;
    }

    public function takePossible(): bool
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
