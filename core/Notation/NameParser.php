<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;

/** Reads one name where a name is due, and says what is wrong where none stands. */
final class NameParser
{
    public const NORMAL = ['normal', 'wildtype', 'wild', 'classic'];

    public const POSSIBLE = ['possible', 'possibly', 'poss', 'maybe', 'ph'];

    /** Words that end an unknown name. */
    private const STOPS = ['het', 'super', 'or', 'and', 'with', 'double', 'not', 'no', 'carries', 'only', 'male', 'female', ...self::NORMAL, ...self::POSSIBLE];

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
     * @return array{Name, Token} the name and its first token
     *
     * @throws NotationError when no name stands here, or one that several genes share
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
        if ($name->kind === NameKind::Shared) {
            return [$this->settled($name, $dose, $from), $from];
        }

        return [$name, $from];
    }

    /** What a shared word means here: the line of the house rules, or a question. */
    private function settled(Name $name, Dose $dose, Token $from): Name
    {
        $line = $this->lines[$name->text] ?? null;
        foreach ($this->catalogue->alleles as $allele) {
            if ($line !== null && ($allele->key === $line || $allele->name === $line)) {
                $this->notes[] = "“{$name->text}” is read as {$allele->name}, as the house rules say.";

                return new Name(NameKind::Allele, $allele->name, [$allele->key]);
            }
        }
        if (count($name->choices) === 1) { // the chosen schools leave one meaning
            $match = $this->names->match(new TokenStream($name->choices[0]));
            if ($match !== null) {
                return $match[0];
            }
        }
        $piece = $this->stream->slice($from->from, $this->stream->previous()->to);
        $prefix = $dose === Dose::Het ? 'het ' : '';
        throw NotationError::question($piece, $from->from, $name->question, array_map(static fn (string $choice): string => $prefix.$choice, $name->choices));
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
        if ($from->isWord('male', 'female')) {
            $this->stream->advance();

            return NotationError::misplaced($from->text, $from->from, 'the sex is given by the field, not in the text.');
        }
        // Words up to the next one that means something are one unknown name.
        do {
            $this->stream->advance();
            $next = $this->stream->current();
        } while ($next->is(TokenType::Word) && ! $next->isWord(...self::STOPS) && $this->names->match($this->stream) === null);
        $piece = $this->stream->slice($from->from, $this->stream->previous()->to);
        $suggestions = $this->names->suggestions($piece);

        return NotationError::unknownName($piece, $from->from, ...($suggestions !== [] ? $suggestions : $this->names->suggestions($from->text)));
    }
}
