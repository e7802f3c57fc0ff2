<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;

/** Reads the pieces of one target, from left to right. */
final class TargetParser
{
    /** @var list<NotationError> */
    public array $errors = [];

    private readonly NameParser $parser;

    private readonly ClauseReader $clauses;

    /**
     * @param array<string, string> $lines the line that a keeper's house rules name for a shared word, by that word
     * @param bool $takesChoices whether "or" between genes and "at least two of" can be answered where this target is used
     */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly NameIndex $names,
        private readonly array $lines,
        private readonly TokenStream $stream,
        private readonly bool $takesChoices,
    ) {
        $this->parser = new NameParser($catalogue, $names, $lines, $stream);
        $this->clauses = new ClauseReader($catalogue, $stream, $this->parser);
    }

    /** @return list<string> what was assumed */
    public function notes(): array
    {
        return array_values(array_unique([...$this->parser->notes(), ...$this->clauses->notes]));
    }

    /** All pieces to the end, or to the end of a group in brackets; faults of pieces are kept, and reading goes on. */
    public function pieces(bool $isGroup = false): Target
    {
        $from = $this->stream->current();
        $found = Target::of('');
        while (! $this->stream->atEnd() && ! ($isGroup && $this->stream->current()->is(TokenType::Close))) {
            if ($this->stream->takeType(TokenType::Separator) || $this->stream->take('and', 'with', 'plus')) {
                continue;
            }
            $start = $this->stream->current();
            try {
                $piece = $this->piece($start, $from);
                if ($found->sex !== null && $piece->sex !== null && $piece->sex !== $found->sex) {
                    throw NotationError::misplaced($start->text, $start->from, 'one animal is not both male and female.');
                }
                $found = $found->and($piece);
            } catch (NotationError $error) {
                $this->errors[] = $error;
                $this->stream->advance($this->stream->current() === $start ? 1 : 0);
            }
        }

        return $found;
    }

    /** @throws NotationError */
    private function piece(Token $start, Token $level): Target
    {
        if ($this->takeOnly()) {
            return Target::of('', only: true);
        }
        $sex = $this->sexHere();
        if ($sex !== null) {
            $this->stream->advance();

            return Target::of('', sex: $sex);
        }
        $amount = $this->names->match($this->stream) === null ? Amount::take($this->stream) : null;

        return $amount === null ? $this->alternatives($start, $level) : $this->amountOf($amount, $start);
    }

    /** "only", or "Normal", which shows nothing at all. */
    private function takeOnly(): bool
    {
        if ($this->names->match($this->stream) !== null) {
            return false;
        }
        if ($this->stream->take('only')) {
            return true;
        }
        if (Keyword::of($this->stream->current()) !== Keyword::Normal) {
            return false;
        }
        $this->stream->advance();
        $this->stream->take('type');

        return true;
    }

    private function sexHere(): ?Sex
    {
        return $this->names->match($this->stream) === null ? Sex::tryFrom($this->stream->current()->word) : null;
    }

    /**
     * One piece, or several joined by "or".
     *
     * @throws NotationError
     */
    private function alternatives(Token $start, Token $level): Target
    {
        $this->names->match($this->stream) === null && $this->stream->take('any', 'a', 'an');
        $word = $this->wordHere();
        $options = [$this->operand()];
        $isBare = ! $start->is(TokenType::Open);
        while ($this->stream->take('or')) {
            $isBare = ! $this->stream->current()->is(TokenType::Open) || $isBare;
            $options[] = $this->operand(in_array($word, ['carries', 'carrying'], true) ? $word : '');
        }
        if (count($options) === 1) {
            return $options[0];
        }
        $piece = $this->stream->slice($start->from, $this->stream->previous()->to);
        if ($word !== '' && ! in_array($word, ['carries', 'carrying'], true)) {
            throw ChoiceQuestions::neither($word, $piece, $start->from);
        }
        $clauses = self::clausesOfOneLocus($options);
        if ($clauses !== []) {
            return Target::of('', [new TargetCondition($clauses, $piece, $start->from)]);
        }
        $this->refuseChoices($piece, $start, '“or” joins forms of one locus only. Ask for each gene by itself, or leave one out.');
        if ($isBare) {
            $this->askForBrackets($start, $level, $piece);
        }

        return Target::of('', choices: [self::choice(1, $options, $piece, $start)]);
    }

    /** "not", "carries" and the like, where one stands here and no name begins with it. */
    private function wordHere(): string
    {
        return $this->names->match($this->stream) === null
            && $this->stream->current()->isWord('not', 'no', 'without', 'carries', 'carrying')
            ? $this->stream->current()->word
            : '';
    }

    /**
     * @param non-empty-list<Target> $options
     * @return list<Clause> empty where they are not single forms of one locus
     */
    private static function clausesOfOneLocus(array $options): array
    {
        $clauses = [];
        foreach ($options as $option) {
            if (count($option->conditions) !== 1 || $option->isMoreThanConditions()) {
                return [];
            }
            array_push($clauses, ...$option->conditions[0]->anyOf);
        }

        return count(array_unique(array_map(static fn (Clause $clause): string => $clause->locus, $clauses))) === 1 ? $clauses : [];
    }

    /** "Pastel Clown or Enchi Clown" can be grouped in two ways: it is asked which. */
    private function askForBrackets(Token $start, Token $level, string $piece): void
    {
        $before = trim($this->stream->slice($level->from, $start->from - 1));
        $next = $this->stream->current();
        $isAlone = $next->is(TokenType::End) || $next->is(TokenType::Close) || $next->is(TokenType::Separator)
            || $next->isWord('and', 'with', 'plus') || $this->sexHere() !== null;
        $isJoined = $before !== '' && preg_match('/(?:[,;+&]|\b(?:and|with|plus))$/iu', $before) !== 1;
        if ($isAlone && ! $isJoined) {
            return;
        }
        while (! $this->stream->atEnd() && ! $this->stream->current()->is(TokenType::Close)) {
            $this->stream->advance();
        }
        $whole = trim($this->stream->slice($level->from, $this->stream->previous()->to));
        $after = trim($this->stream->slice($next->from, $this->stream->previous()->to), ' ,;+&');
        throw ChoiceQuestions::brackets(trim($before, ' ,;+&'), $piece, $after, $whole, $level->from);
    }

    /**
     * @param string $word that goes on from the piece before, where this one has none of its own
     *
     * @throws NotationError
     */
    private function operand(string $word = ''): Target
    {
        if (! $this->stream->takeType(TokenType::Open)) {
            return $this->condition($word);
        }
        $open = $this->stream->previous();
        $group = $this->pieces(isGroup: true);
        if (! $this->stream->takeType(TokenType::Close)) {
            throw NotationError::misplaced('(', $open->from, 'the bracket is not closed.');
        }

        return $group->isEmpty() && $this->errors === []
            ? throw NotationError::misplaced('()', $open->from, 'the brackets are empty.')
            : $group->saidAs(trim($this->stream->slice($open->to + 1, $this->stream->previous()->from - 1)), []);
    }

    /**
     * "at least two of Pastel, Enchi, Fire": the list goes on to a plus, "with", a sex or the end.
     *
     * @throws NotationError
     */
    private function amountOf(Amount $amount, Token $start): Target
    {
        $options = $amount->kinds === null ? $this->listed() : $this->allOfKind($amount);
        $piece = rtrim($this->stream->slice($start->from, $this->stream->previous()->to), ' ,;');
        $this->refuseChoices($piece, $start, 'here each gene is asked for by itself, without “at least”.');
        if ($amount->atLeast > count($options)) {
            throw NotationError::misplaced($piece, $start->from, 'only '.count($options).' are named.');
        }

        return Target::of('', choices: [self::choice($amount->atLeast, $options, $piece, $start)]);
    }

    /**
     * @param non-empty-list<Target> $options
     *
     * @throws NotationError where an option is itself a choice
     */
    private static function choice(int $atLeast, array $options, string $piece, Token $start): TargetChoice
    {
        foreach ($options as $option) {
            if ($option->choices !== []) {
                throw NotationError::misplaced(
                    $piece, $start->from, 'a choice cannot hold another “or” or “at least”. Write each way out.',
                );
            }
        }

        return new TargetChoice($atLeast, $options, $piece, $start->from);
    }

    /**
     * @return non-empty-list<Target>
     *
     * @throws NotationError
     */
    private function listed(): array
    {
        $options = [];
        do {
            $options[] = $this->operand();
            while ($this->stream->current()->is(TokenType::Separator) && $this->stream->current()->text !== '+') {
                $this->stream->advance();
            }
            $this->stream->take('or', 'and');
        } while (! $this->endsList());

        return $options;
    }

    private function endsList(): bool
    {
        $next = $this->stream->current();

        return $next->is(TokenType::End) || $next->is(TokenType::Close) || $next->text === '+'
            || ($this->names->match($this->stream) === null
                && ($next->isWord('with', 'plus', 'only', 'not', 'no', 'without', 'at', 'any') || $this->sexHere() !== null));
    }

    /** @return non-empty-list<Target> each gene of a kind, showing */
    private function allOfKind(Amount $amount): array
    {
        $options = [];
        foreach ($this->catalogue->alleles as $allele) {
            if ($amount->counts($allele)) {
                $clause = new Clause(DoseRule::of(Dose::Plain, $allele)->clause, $allele->locus, [$allele->key], $allele->name);
                $options[] = Target::of($allele->name, [new TargetCondition([$clause], $allele->name, 1)]);
            }
        }

        return $options !== [] ? $options : throw NotationError::nothingToRead('The library has no gene of that kind.');
    }

    /** @throws NotationError where what uses this target cannot answer it */
    private function refuseChoices(string $piece, Token $start, string $why): void
    {
        $this->takesChoices || throw NotationError::misplaced($piece, $start->from, $why);
    }

    /** @throws NotationError */
    private function condition(string $before = ''): Target
    {
        $start = $this->stream->current();
        $own = $this->wordHere();
        $this->stream->advance($own === '' ? 0 : 1);
        $word = $own === '' ? $before : $own;
        if ($this->stream->current()->is(TokenType::Number)) {
            throw NotationError::misplaced(
                $this->stream->current()->text, $this->stream->current()->from,
                'a target has no percentages: an offspring carries a gene or does not. Write “het …” or “carries …”.',
            );
        }
        $dose = $this->dose();
        [$name, $from] = $this->parser->read($dose);
        if ($name->kind === NameKind::Shared) {
            throw $this->parser->question($name, $dose, $from);
        }
        if ($name->kind === NameKind::Nickname) {
            return $this->nickname($name, $word, $dose, $from);
        }
        $clause = $this->clauses->read($name, $word, $dose, $from);
        $piece = $this->stream->slice($start->from, $this->stream->previous()->to);

        return Target::of($piece, [new TargetCondition([$clause], $piece, $start->from)]);
    }

    /** @throws NotationError */
    private function nickname(Name $name, string $word, Dose $dose, Token $from): Target
    {
        if ($word !== '' || $dose !== Dose::Plain) {
            throw NotationError::misplaced(
                $name->text, $from->from, "{$name->text} is a nickname for {$name->means}; ask gene by gene.", [$name->means],
            );
        }
        try {
            $parser = new self($this->catalogue, $this->names, $this->lines, new TokenStream($name->means), takesChoices: false);
            $means = $parser->pieces();
            if ($parser->errors !== []) {
                throw $parser->errors[0];
            }

            return Target::of($name->text, $means->conditions);
        } catch (NotationError $error) {
            $choices = array_map(
                static fn (string $choice): string => str_replace($error->piece, $choice, $name->means), $error->suggestions,
            );
            throw NotationError::question($name->text, $from->from, "{$name->text} is short for {$name->means}.", $choices);
        }
    }

    private function dose(): Dose
    {
        if ($this->names->match($this->stream) !== null) {
            return Dose::Plain;
        }
        $dose = match (Keyword::of($this->stream->current())) {
            Keyword::Het => Dose::Het,
            Keyword::Two => Dose::Two,
            Keyword::Homozygous => Dose::Homozygous,
            Keyword::Visual => Dose::Visual,
            default => Dose::Plain,
        };
        $word = $this->stream->current();
        $this->stream->advance($dose === Dose::Plain ? 0 : 1);
        $this->stream->advance(
            $dose !== Dose::Plain && $this->stream->current()->text === '.' && $this->stream->current()->from === $word->to + 1 ? 1 : 0,
        );

        return $dose;
    }
}
