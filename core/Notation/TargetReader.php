<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;

/** Reads a target: "Clown + Super Pastel, not Spider, female" (commands.md). */
final readonly class TargetReader
{
    private NameIndex $names;

    /** @param array<string, string> $lines the line that a keeper's house rules name for a shared word, by that word */
    public function __construct(private Catalogue $catalogue, ?NameIndex $names = null, private array $lines = [])
    {
        $this->names = $names ?? new NameIndex($catalogue);
    }

    /** @throws NotationError at the first piece that cannot be read */
    public function read(string $text): Target
    {
        [$target, $errors] = $this->readAll($text);

        return $target ?? throw $errors[0];
    }

    /**
     * Reads everything that can be read and collects all errors.
     *
     * @return array{Target, array{}}|array{null, non-empty-list<NotationError>}
     */
    public function readAll(string $text): array
    {
        if (mb_strlen($text) > GenotypeReader::MOST_CHARACTERS) {
            return [null, [NotationError::tooLong(mb_strlen($text), GenotypeReader::MOST_CHARACTERS)]];
        }
        $stream = new TokenStream($text);
        $names = new NameParser($this->catalogue, $this->names, $this->lines, $stream);
        $clauses = new ClauseReader($this->catalogue, $stream, $names);
        $conditions = $errors = [];
        $only = false;
        $sex = null;
        while (! $stream->atEnd()) {
            $start = $stream->current();
            if ($stream->takeType(TokenType::Separator) || $stream->take('and', 'with', 'plus')) {
                continue;
            }
            try {
                if ($this->takeOnly($stream)) {
                    $only = true;
                } elseif (($asked = $this->takeSex($stream)) !== null) {
                    $sex = $sex === null || $sex === $asked
                        ? $asked
                        : throw NotationError::misplaced($start->text, $start->from, 'one animal is not both male and female.');
                } else {
                    array_push($conditions, ...$this->condition($stream, $names, $start, $clauses));
                }
            } catch (NotationError $error) {
                $errors[] = $error;
                $stream->advance($stream->current() === $start ? 1 : 0);
            }
        }
        if ($errors === [] && $conditions === [] && ! $only && $sex === null) {
            $errors[] = NotationError::nothingToRead('Type what you want to hatch, for example “Clown + Pastel”.');
        }

        return $errors === []
            ? [new Target(trim($text), $conditions, $only, $sex, array_values(array_unique([...$names->notes(), ...$clauses->notes]))), []]
            : [null, $errors];
    }

    /** "only", or "Normal", which shows nothing at all. */
    private function takeOnly(TokenStream $stream): bool
    {
        if ($this->names->match($stream) !== null) {
            return false;
        }
        if ($stream->take('only')) {
            return true;
        }
        if (Keyword::of($stream->current()) !== Keyword::Normal) {
            return false;
        }
        $stream->advance();
        $stream->take('type');

        return true;
    }

    private function takeSex(TokenStream $stream): ?Sex
    {
        $asked = $this->names->match($stream) === null ? Sex::tryFrom($stream->current()->word) : null;
        $stream->advance($asked === null ? 0 : 1);

        return $asked;
    }

    /** @return list<TargetCondition> */
    private function condition(TokenStream $stream, NameParser $names, Token $start, ClauseReader $reader): array
    {
        $word = $this->names->match($stream) === null && $stream->current()->isWord('not', 'no', 'without', 'carries', 'carrying')
            ? $stream->current()->word
            : '';
        $stream->advance($word === '' ? 0 : 1);
        if ($stream->current()->is(TokenType::Number)) {
            throw NotationError::misplaced(
                $stream->current()->text, $stream->current()->from,
                'a target has no percentages: an offspring carries a gene or does not. Write “het …” or “carries …”.',
            );
        }
        $clauses = [];
        do {
            $dose = $this->dose($stream);
            [$name, $from] = $names->read($dose);
            if ($name->kind === NameKind::Shared) {
                throw $names->question($name, $dose, $from);
            }
            if ($name->kind === NameKind::Nickname) {
                return $this->nickname($name, $word, $dose, $from, $clauses === []);
            }
            $clauses[] = $reader->read($name, $word, $dose, $from);
        } while ($stream->take('or'));
        $piece = $stream->slice($start->from, $stream->previous()->to);
        foreach ($clauses as $clause) {
            if ($clause->locus !== $clauses[0]->locus) {
                throw NotationError::misplaced(
                    $piece, $start->from, '“or” joins forms of one locus only. Ask for each gene by itself, or leave one out.',
                );
            }
        }

        return [new TargetCondition($clauses, $piece, $start->from)];
    }

    /** @return list<TargetCondition> */
    private function nickname(Name $name, string $word, Dose $dose, Token $from, bool $isFirst): array
    {
        if ($word !== '' || $dose !== Dose::Plain || ! $isFirst) {
            throw NotationError::misplaced(
                $name->text, $from->from, "{$name->text} is a nickname for {$name->means}; ask gene by gene.", [$name->means],
            );
        }
        try {
            return $this->read($name->means)->conditions;
        } catch (NotationError $error) {
            $choices = array_map(
                static fn (string $choice): string => str_replace($error->piece, $choice, $name->means), $error->suggestions,
            );
            throw NotationError::question($name->text, $from->from, "{$name->text} is short for {$name->means}.", $choices);
        }
    }

    private function dose(TokenStream $stream): Dose
    {
        if ($this->names->match($stream) !== null) {
            return Dose::Plain;
        }

        $dose = match (Keyword::of($stream->current())) {
            Keyword::Het => Dose::Het,
            Keyword::Two => Dose::Two,
            Keyword::Homozygous => Dose::Homozygous,
            Keyword::Visual => Dose::Visual,
            default => Dose::Plain,
        };
        $word = $stream->current();
        $stream->advance($dose === Dose::Plain ? 0 : 1);
        $stream->advance($dose !== Dose::Plain && $stream->current()->text === '.' && $stream->current()->from === $word->to + 1 ? 1 : 0);

        return $dose;
    }
}
