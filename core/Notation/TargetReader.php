<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
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
        $conditions = $notes = $errors = [];
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
                    array_push($conditions, ...$this->condition($stream, $names, $start, $notes));
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
            ? [new Target(trim($text), $conditions, $only, $sex, array_values(array_unique([...$names->notes(), ...$notes]))), []]
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

    /**
     * @param list<string> $notes
     * @return list<TargetCondition>
     */
    private function condition(TokenStream $stream, NameParser $names, Token $start, array &$notes): array
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
            $clauses[] = $this->clause($stream, $names, $name, $word, $dose, $from, $notes);
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

    /** @return list<string> the other allele of a pair, where a slash follows */
    private function afterSlash(TokenStream $stream, NameParser $names, Name $name, Token $from): array
    {
        if ($name->kind !== NameKind::Allele || ! $stream->takeType(TokenType::Slash)) {
            return [];
        }
        $at = $stream->current();
        [$second] = $names->read();
        if ($second->kind !== NameKind::Allele || $this->locusOf($second) !== $this->locusOf($name)) {
            throw NotationError::misplaced(
                $stream->slice($from->from, $stream->previous()->to), $at->from, 'a slash joins two alleles of one locus.',
            );
        }

        return $second->alleles;
    }

    /** @param list<string> $notes */
    private function clause(
        TokenStream $stream,
        NameParser $names,
        Name $name,
        string $word,
        Dose $dose,
        Token $from,
        array &$notes,
    ): Clause {
        $alleles = [...$name->alleles, ...$this->afterSlash($stream, $names, $name, $from)];
        $text = trim(($word === '' ? '' : $word.' ').$stream->slice($from->from, $stream->previous()->to));
        $isPair = count($alleles) === 2 || $dose === Dose::Two;
        if (count($alleles) === 1 && $dose === Dose::Two) {
            $alleles = [$alleles[0], $alleles[0]];
        }
        $allele = $this->catalogue->allele($alleles[0] ?? '');
        if ($isPair && $dose === Dose::Het) {
            throw NotationError::misplaced($text, $from->from, 'a form with two mutant alleles is not a het.', [$name->text]);
        }
        $kind = match ($word) {
            'not', 'without' => $isPair || $dose === Dose::Het ? ClauseKind::NotForm : ClauseKind::NotShowing,
            'no', 'carries', 'carrying' => $isPair || $dose === Dose::Het
                ? throw NotationError::misplaced(
                    $text, $from->from, "“{$word}” speaks of one gene: write “{$word} {$allele->name}”.",
                    ["{$word} {$allele->name}"],
                )
                : ($word === 'no' ? ClauseKind::NoCopy : ClauseKind::Carries),
            default => $this->positive($allele, $alleles, $dose, $notes),
        };

        return new Clause($kind, $allele->locus, $kind === ClauseKind::TwoCopies ? [$alleles[0]] : $alleles, $text);
    }

    /**
     * @param list<string> $alleles
     * @param list<string> $notes
     */
    private function positive(Allele $allele, array $alleles, Dose $dose, array &$notes): ClauseKind
    {
        if (count($alleles) === 2) {
            return $alleles[0] === $alleles[1] ? ClauseKind::TwoCopies : ClauseKind::Compound;
        }
        $rule = DoseRule::of($dose, $allele);
        if ($rule->targetNote !== '') {
            $notes[] = $rule->targetNote;
        }

        return $rule->clause;
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
            Keyword::Visual => Dose::Visual,
            default => Dose::Plain,
        };
        $word = $stream->current();
        $stream->advance($dose === Dose::Plain ? 0 : 1);
        $stream->advance($dose !== Dose::Plain && $stream->current()->text === '.' && $stream->current()->from === $word->to + 1 ? 1 : 0);

        return $dose;
    }

    private function locusOf(Name $name): string
    {
        return $this->catalogue->allele($name->alleles[0] ?? '')->locus;
    }
}
