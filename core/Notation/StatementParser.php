<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Probability\Rational;

/**
 * Cuts one text into statements. A piece that cannot be read becomes an error, and reading goes on behind it. What people
 * really write and what is easily read wrongly (a recessive behind a het in a list, a percentage without the word het, a
 * slash between names of one locus) is read as meant where that is plain, and asked where it is not.
 */
final class StatementParser
{
    private readonly TokenStream $stream;

    private readonly Remarks $remarks;

    private readonly NameParser $nameParser;

    private readonly FormReader $forms;

    private readonly Amounts $amounts;

    private readonly BehindReader $behind;

    /** @var list<Statement> */
    private array $statements = [];

    /** @var list<Piece> */
    private array $pieces = [];

    /** @var list<NotationError> */
    private array $errors = [];

    /** @var list<string> alleles that the text says are not carried */
    private array $absent = [];

    private readonly OpenForms $open;

    private readonly NormalWord $normal;

    private readonly MakerWord $maker;

    /** Sex and number of the animal, where the text gives them. */
    public readonly Particulars $particulars;

    /** A list that "hets" or "het for" began: its recessives are hets with this chance. */
    private ?Announced $list = null;

    /** Whether a het stands before: a recessive without the word is then a question. */
    private bool $isBehindHet = false;

    private int $parentheses = 0;

    /** @param array<string, string> $lines what a shared word means in this house */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly NameIndex $names,
        private readonly array $lines,
        string $text,
        private readonly bool $isSlashEither = false,
    ) {
        $this->remarks = new Remarks($text, $names);
        $this->stream = new TokenStream($this->remarks->text);
        $this->nameParser = new NameParser($catalogue, $names, $lines, $this->stream);
        $this->amounts = new Amounts($this->stream, $names);
        $this->behind = new BehindReader($this->stream, $names);
        $this->forms = new FormReader($catalogue, $names, $this->stream, $this->nameParser, $isSlashEither);
        $this->normal = new NormalWord($this->stream);
        $this->open = new OpenForms($this->forms);
        $this->particulars = new Particulars($this->stream);
        $this->maker = new MakerWord($this->stream, $catalogue);
    }

    /** @return list<Statement> */
    public function statements(): array
    {
        return $this->statements;
    }

    /** @return list<Piece> */
    public function pieces(): array
    {
        return $this->pieces;
    }

    /** @return list<string> */
    public function notes(): array
    {
        return [...$this->nameParser->notes(), ...$this->forms->notes, ...$this->particulars->notes(), ...$this->remarks->notes];
    }

    /** @return list<NotationError> */
    public function errors(): array
    {
        return $this->errors;
    }

    /** @return list<string> */
    public function absent(): array
    {
        return array_values(array_unique($this->absent));
    }

    public function parse(): void
    {
        while (! $this->stream->atEnd()) {
            if ($this->stream->takeType(TokenType::Separator) || $this->stream->take('and', 'with', 'plus')) {
                continue;
            }
            $start = $this->stream->current();
            try {
                $this->maker->take($this->statements) || $this->parenthesis() || $this->particulars->take($this->names) || $this->statement($start);
            } catch (NotationError $error) {
                $this->errors[] = $error;
                if ($this->stream->current() === $start) {
                    $this->stream->advance();
                }
            }
        }
        [$this->statements, $misplaced] = $this->maker->settle($this->statements);
        array_push($this->errors, ...$misplaced);
        [$settled, $questions] = $this->open->settle($this->statements);
        array_push($this->pieces, ...$settled);
        array_push($this->errors, ...$questions);
        if (trim($this->remarks->text) !== trim($this->remarks->typed) && $this->pieces === [] && $this->errors === [] && $this->absent === []) {
            $this->errors[] = NotationError::noGene($this->remarks->typed); // remarks alone are no Normal
        }
        array_push($this->errors, ...$this->normal->against($this->statements, $this->forms));
    }

    /** Parentheses around whole statements mean nothing by themselves. */
    private function parenthesis(): bool
    {
        $open = $this->stream->current();
        if ($this->stream->takeType(TokenType::Open)) {
            $this->parentheses++;
            if (! $this->stream->hasAhead(TokenType::Close)) {
                throw NotationError::misplaced('(', $open->from, 'this parenthesis is not closed.');
            }

            return true;
        }
        if ($this->parentheses > 0 && $this->stream->takeType(TokenType::Close)) {
            $this->parentheses--;
            $this->list = null;

            return true;
        }

        return false;
    }

    private function statement(Token $start): bool
    {
        $isName = $this->names->match($this->stream) !== null;
        if (! $isName && Keyword::of($start) === Keyword::Normal) {
            $this->pieces[] = $this->normal->read($start);

            return true;
        }
        if (! $isName && $this->without()) {
            return true;
        }
        $announced = $this->amounts->read();
        if ($announced->isList) {
            $this->list = $announced;
        }
        $before = count($this->statements);
        for ($i = 0; $i < $announced->count && ($i === 0 || count($this->statements) - $before < $announced->count); $i++) {
            while ($i > 0 && ($this->stream->takeType(TokenType::Separator) || $this->stream->takeType(TokenType::Slash)
                || $this->stream->take('and', 'het'))) {
                continue;
            }
            $this->form($i === 0 ? $start : $this->stream->current(), $announced, $announced->count - $i);
        }

        return true;
    }

    private function form(Token $start, Announced $announced, int $stillWanted): void
    {
        [$name, $from] = $this->nameParser->read($announced->dose, $stillWanted);
        if ($name->kind === NameKind::Shared) {
            $this->open->add($name, $announced, $this->nameParser->question($name, $announced->dose, $from));

            return;
        }
        if ($name->kind === NameKind::Nickname) {
            $this->nickname($name, $start, $from, $announced);

            return;
        }
        $announced = $this->asMeant($name, $from, $announced);
        $choices = $this->choices($name, $from, $announced);
        $behind = $this->behind->read($choices, $this->catalogue);
        if ($behind->dose === Dose::Het && $announced->dose === Dose::Plain) {
            $announced = $announced->as(Dose::Het, $announced->chance ?? $behind->chance);
            $choices = [$this->forms->copies($this->catalogue->allele($choices[0][0]), Dose::Het, $from)];
        } elseif ($behind->dose->isTwo()) {
            $choices = array_map(static fn (array $alleles): array => [$alleles[0], $alleles[0]], $choices);
        }
        $to = $this->stream->previous()->to;
        $piece = $this->stream->slice($start->from, $to);
        (new Unsure($this->forms))->ask($piece, $start, $announced, $behind, $choices, $this->isBehindHet);
        $this->keep($piece, $start->from, $to, $choices, $announced->chance ?? $behind->chance, $behind);
        $this->isBehindHet = $this->isBehindHet || $announced->dose === Dose::Het;
        $this->forms->takeSeparator($announced, fn (Announced $next) => $this->form($this->stream->current(), $next, 1));
    }

    /** A recessive in a list of hets is a het. */
    private function asMeant(Name $name, Token $from, Announced $announced): Announced
    {
        $isBare = $announced->dose === Dose::Plain && $announced->chance === null && ! $announced->isPossible;

        return $this->list !== null && $isBare && $this->forms->isRecessive($name)
            ? $announced->as(Dose::Het, $this->list->chance)
            : $announced;
    }

    /**
     * @return non-empty-list<list<string>> alleles of each alternative
     */
    private function choices(Name $name, Token $from, Announced $announced): array
    {
        $choices = $this->forms->alternatives($name, $announced->dose, $from);
        while ($this->stream->current()->isWord('or')) {
            $this->stream->advance();
            $other = $this->amounts->doses->dose();
            [$next, $at] = $this->nameParser->read($other);
            if ($next->kind === NameKind::Shared) {
                throw $this->nameParser->question($next, $other, $at);
            }
            $dose = $other === Dose::Plain && $announced->dose === Dose::Het ? Dose::Het : $other; // "het Clown or Piebald"
            array_push($choices, ...$this->forms->alternatives($next, $dose, $at));
        }

        return $choices;
    }

    /** @param non-empty-list<list<string>> $choices */
    private function keep(string $piece, int $from, int $to, array $choices, ?Rational $chance, Behind $behind): void
    {
        if ($behind->twoCopies !== null && count($choices[0]) !== 1) {
            throw NotationError::misplaced(
                $this->stream->previous()->text, $this->stream->previous()->from,
                'a chance of two copies can only stand behind one copy.',
            );
        }
        $each = ($chance ?? Rational::one())->dividedBy(Rational::of(count($choices)));
        $alternatives = $behind->twoCopies !== null
            ? [[$behind->twoCopies, [$choices[0][0], $choices[0][0]]], [$behind->twoCopies->complement(), [$choices[0][0]]]]
            : array_map(static fn (array $alleles): array => [$each, $alleles], $choices);
        $alternatives = array_values(array_filter($alternatives, static fn (array $alternative): bool => ! $alternative[0]->isZero()));
        $this->statements[] = new Statement($alternatives, $piece, $from, $to, $behind->maker, count($choices) > 1);
        $this->pieces[] = new Piece($piece, $from, $to, $this->forms->words->meaning($alternatives, $behind->maker));
    }

    /** "no Clown", "does not carry Clown": not a single copy. */
    private function without(): bool
    {
        $start = $this->stream->current();
        if ($this->stream->current()->isWord('not') && $this->stream->peek()->is(TokenType::Word)) {
            $this->stream->advance();
            [$name] = $this->nameParser->read();
            throw NotationError::question(
                $this->stream->slice($start->from, $this->stream->previous()->to), $start->from,
                'Of what an animal carries write that it has not a single copy.', ["no {$name->text}"],
            );
        }
        if (! $this->amounts->takeWithout()) {
            return false;
        }
        do {
            [$name] = $this->nameParser->read();
            $alleles = $name->kind === NameKind::Shared ? $this->forms->allelesNamed($name->choices) : $name->alleles;
            if ($name->kind === NameKind::Nickname || $alleles === []) {
                throw NotationError::misplaced($name->text, $start->from, 'say gene by gene what is not carried.');
            }
            $this->absent = [...$this->absent, ...$alleles];
        } while ($this->stream->take('or', 'nor'));
        $to = $this->stream->previous()->to;
        $names = implode(' or ', array_map(fn (string $allele): string => $this->catalogue->allele($allele)->name, array_unique($alleles)));
        $this->pieces[] = new Piece($this->stream->slice($start->from, $to), $start->from, $to, "not a single copy of {$names}");

        return true;
    }

    private function nickname(Name $name, Token $start, Token $from, Announced $announced): void
    {
        $piece = $this->stream->slice($start->from, $this->stream->previous()->to);
        if ($announced->dose !== Dose::Plain || $announced->chance !== null) {
            throw NotationError::misplaced(
                $piece, $start->from, "{$name->text} is a nickname for {$name->means}; give chances and hets gene by gene.",
                [$name->means],
            );
        }
        $inner = new self($this->catalogue, $this->names, $this->lines, $name->means, $this->isSlashEither);
        $inner->parse();
        foreach ($inner->errors as $error) {
            $choices = array_map(
                static fn (string $choice): string => str_replace($error->piece, $choice, $name->means), $error->suggestions,
            );
            throw NotationError::question($piece, $from->from, "{$name->text} is short for {$name->means}.", $choices);
        }
        foreach ($inner->statements as $statement) {
            $this->statements[] = new Statement($statement->alternatives, $piece, $start->from, $this->stream->previous()->to);
        }
        foreach ($inner->notes() as $note) {
            $this->forms->note($note);
        }
        $this->pieces[] = new Piece($piece, $start->from, $this->stream->previous()->to, $name->means);
    }
}
