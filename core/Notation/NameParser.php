<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Inheritance;

/** Reads one name where a name is due, and says what is wrong where none stands. */
final class NameParser
{
    /** Words that end an unknown name, beside those of Keyword. */
    private const STOPS = [
        'or', 'and', 'with', 'double', 'dbl', 'triple', 'trip', 'quad', 'not', 'carries', 'only', 'male', 'female', 'for',
    ];

    /** @var list<string> */
    private array $notes = [];

    /** @param array<string, string> $lines what a shared word means in this house, by that word */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly NameIndex $names,
        private readonly array $lines,
        private readonly TokenStream $stream,
    ) {}

    /** @return list<string> */
    public function notes(): array
    {
        return $this->notes;
    }

    /**
     * @return array{Name, Token} the name and its first token; of kind Shared where several genes share it and nothing settles which
     *
     * @throws NotationError when no name stands here
     */
    public function read(Dose $dose = Dose::Plain, int $stillWanted = 1): array
    {
        $from = $this->stream->current();
        $match = $this->names->match($this->stream);
        if ($match === null) {
            throw $this->unknown($from, $dose, $stillWanted);
        }
        [$name, $length] = $match;
        $this->stream->advance($length);

        return [$name->kind === NameKind::Shared ? $this->settled($name) : $name, $from];
    }

    /** What a shared word means here: the line of the house rules, or the one meaning that the schools leave. */
    private function settled(Name $name): Name
    {
        $line = $this->lines[$name->text] ?? null;
        foreach ($this->catalogue->alleles as $allele) {
            if ($line !== null && ($allele->key === $line || $allele->name === $line)) {
                $this->notes[] = "“{$name->text}” is read as {$allele->name}, as the house rules say.";

                return new Name(NameKind::Allele, $allele->name, [$allele->key]);
            }
        }
        $match = count($name->choices) === 1 && ! $name->isAlwaysAsked ? $this->names->match(new TokenStream($name->choices[0])) : null;

        return $match[0] ?? $name;
    }

    /** The question that a shared word is; a word of a line before or behind it is taken with it. */
    public function question(Name $name, Dose $dose, Token $from, bool $isLine = false): NotationError
    {
        while ($this->isUnknownWord($this->stream->current()) && $this->stream->current()->from === $this->stream->previous()->to + 2) {
            $this->stream->advance();
            $isLine = true;
        }
        $piece = $this->stream->slice($from->from, $this->stream->previous()->to);
        $prefix = $dose === Dose::Het ? 'het ' : '';
        $hint = $isLine ? ' A word of your own for a line is given to it under Genes, and is known from then on.' : '';

        return NotationError::question(
            $piece, $from->from, $name->question.$hint,
            array_map(static fn (string $choice): string => $prefix.$choice, $name->choices),
        );
    }

    private function isUnknownWord(Token $token): bool
    {
        return $token->is(TokenType::Word)
            && ! $token->isWord(...self::STOPS)
            && Keyword::of($token) === null
            && $this->names->match($this->stream) === null
            && preg_match('/^x\d$/', $token->word) !== 1;
    }

    /** The error for a place where a name is due; the stream moves behind what cannot be read. */
    public function unknown(Token $from, Dose $dose = Dose::Plain, int $stillWanted = 1): NotationError
    {
        if ($from->is(TokenType::End)) {
            $last = $this->stream->previous();

            return NotationError::misplaced($last->text, $last->from, match (true) {
                $stillWanted > 1 => "the text ends although {$stillWanted} more genes are announced.",
                $dose === Dose::Het => 'a het needs a gene: write it behind the word.',
                default => 'the text ends in the middle: write the gene behind it.',
            });
        }
        if (! $from->is(TokenType::Word)) {
            $this->stream->advance();

            return NotationError::strayPiece($from->text, $from->from);
        }

        return $this->outOfPlace($from) ?? $this->unknownWords($from, $dose);
    }

    private function unknownWords(Token $from, Dose $dose): NotationError
    {
        // Words up to the next one that means something are one unknown name.
        do {
            $this->stream->advance();
        } while ($this->isUnknownWord($this->stream->current()));
        $shared = $this->names->match($this->stream);
        if (
            $shared !== null
            && $shared[0]->kind === NameKind::Shared
            && $this->stream->current()->from === $this->stream->previous()->to + 2
        ) {
            $this->stream->advance($shared[1]);
            $piece = $this->stream->slice($from->from, $this->stream->previous()->to);
            $near = $this->names->suggestions($piece);

            return $near !== [] // "Dessert Ghost" is a misspelt gene; "XY Axanthic" a line's word before a word that several share
                ? NotationError::unknownName($piece, $from->from, ...$near)
                : $this->question($shared[0], $dose, $from, true);
        }

        return $this->misspelt($from);
    }

    /** Words that mean something and stand where a gene is due; null where this is none of them. */
    private function outOfPlace(Token $from): ?NotationError
    {
        $parent = 'write here what the animal itself carries.';
        $unnamed = 'a recessive that nobody has named is added under Genes, and is then written by its working name.';
        $why = [
            'double' => '', 'dbl' => '', 'only' => 'it speaks of the whole animal: write it first, “only Pastel Clown”.',
            'x' => 'it stands between two parents: write what one animal carries.', 'pair' => 'it is two animals: enter each by itself.',
            'trio' => 'it is three animals: enter each by itself.', 'sire' => $parent, 'dam' => $parent,
            'unknown' => $unnamed, 'unnamed' => $unnamed, 'mystery' => $unnamed,
        ][$from->word] ?? null;
        if ($why === null) {
            return null;
        }
        $this->stream->advance();
        if ($why === '') {
            return $this->doubled($from);
        }
        $this->stream->advance($this->stream->current()->text === ':' ? 1 : 0);

        return NotationError::misplaced($from->text, $from->from, $why);
    }

    /** "Double Pastel" may be two copies, or a word of praise: a question. */
    private function doubled(Token $from): NotationError
    {
        $match = $this->names->match($this->stream);
        $allele = ($match[0] ?? null)?->kind === NameKind::Allele ? $this->catalogue->allele($match[0]->alleles[0]) : null;
        if ($match === null || $allele === null) {
            return NotationError::misplaced($from->text, $from->from, 'it stands before “het”: “double het Clown Piebald”.');
        }
        $this->stream->advance($match[1]);
        $isRecessive = $allele->inheritance === Inheritance::Recessive;

        return NotationError::question(
            $this->stream->slice($from->from, $this->stream->previous()->to), $from->from,
            $isRecessive ? 'Hets of two genes are “double het Clown Piebald”.' : 'Say whether it has one copy or two.',
            $isRecessive ? ["visual {$allele->name}", "het {$allele->name}"] : [$this->catalogue->twoCopies($allele)->text, $allele->name],
        );
    }

    private function misspelt(Token $from): NotationError
    {
        $piece = $this->stream->slice($from->from, $this->stream->previous()->to);
        $suggestions = $this->names->suggestions($piece);
        $first = $suggestions === [] && $piece !== $from->text ? $this->names->suggestions($from->text) : [];
        if ($first !== []) { // two misspelt names side by side are two faults
            $this->stream->rewindBehind($from);

            return NotationError::unknownName($from->text, $from->from, ...$first);
        }

        return NotationError::unknownName($piece, $from->from, ...$suggestions);
    }
}
