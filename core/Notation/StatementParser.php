<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use Destino\Genome\Sex;
use Destino\Probability\InvalidNumber;
use Destino\Probability\Rational;

/** Cuts one text into statements. A piece that cannot be read becomes an error, and reading goes on behind it. */
final class StatementParser
{
    private const NORMAL = NameParser::NORMAL;

    private const POSSIBLE = NameParser::POSSIBLE;

    private const MULTIPLES = ['double' => 2, 'dbl' => 2, 'triple' => 3, 'quad' => 4, 'quadruple' => 4];

    private readonly TokenStream $stream;

    private readonly NameParser $nameParser;

    /** @var list<Statement> */
    private array $statements = [];

    /** @var list<Piece> */
    private array $pieces = [];

    /** @var list<string> */
    private array $notes = [];

    /** @var list<NotationError> */
    private array $errors = [];

    private ?Token $normal = null;

    /** @param array<string, string> $lines what a shared word means in this house */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly NameIndex $names,
        private readonly array $lines,
        string $text,
    ) {
        $this->stream = new TokenStream($text);
        $this->nameParser = new NameParser($catalogue, $names, $lines, $this->stream);
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
        return [...$this->nameParser->notes(), ...$this->notes];
    }

    /** @return list<NotationError> */
    public function errors(): array
    {
        return $this->errors;
    }

    public function parse(): void
    {
        while (! $this->stream->atEnd()) {
            if ($this->stream->takeType(TokenType::Separator) || $this->stream->take('and', 'with')) {
                continue;
            }
            $start = $this->stream->current();
            try {
                $this->statement($start);
            } catch (NotationError $error) {
                $this->errors[] = $error;
                if ($this->stream->current() === $start) {
                    $this->stream->advance();
                }
            }
        }
        $this->checkNormal();
    }

    private function statement(Token $start): void
    {
        if ($this->names->match($this->stream) === null && $this->stream->current()->isWord(...self::NORMAL)) {
            $this->readNormal($start);

            return;
        }
        $isPossible = $this->takePossible();
        $chance = $this->chance();
        $isPossible = $this->takePossible() || $isPossible;
        $count = 1;
        if ($this->names->match($this->stream) === null && isset(self::MULTIPLES[$this->stream->current()->word]) && $this->stream->peek()->isWord('het', 'hets')) {
            $count = self::MULTIPLES[$this->stream->current()->word];
            $this->stream->advance();
        }
        $dose = $this->dose();
        for ($i = 0; $i < $count; $i++) {
            while ($i > 0 && ($this->stream->takeType(TokenType::Separator) || $this->stream->take('and', 'het'))) {
                continue;
            }
            $this->form($i === 0 ? $start : $this->stream->current(), $dose, $chance, $isPossible, $count - $i);
        }
    }

    private function form(Token $start, Dose $dose, ?Rational $chance, bool $isPossible, int $stillWanted): void
    {
        [$name, $from] = $this->nameParser->read($dose, $stillWanted);
        if ($name->kind === NameKind::Nickname) {
            $this->nickname($name, $start, $from, $dose, $chance);

            return;
        }
        $alleles = $this->allelesOf($name, $dose, $from);
        $choices = [$alleles];
        while ($this->stream->current()->isWord('or')) {
            $this->stream->advance();
            $other = $this->dose();
            [$next, $at] = $this->nameParser->read($other);
            $choices[] = $this->allelesOf($next, $other, $at);
        }
        [$modifierChance, $twoCopies, $maker] = $this->modifiers($alleles);
        $to = $this->stream->previous()->to;
        $piece = $this->stream->slice($start->from, $to);
        $chance ??= $modifierChance;
        if ($isPossible && $chance === null) {
            throw NotationError::howLikely($piece, $start->from, $this->formText($alleles));
        }
        $alternatives = match (true) {
            $twoCopies !== null => [[$twoCopies, [$alleles[0], $alleles[0]]], [$twoCopies->complement(), [$alleles[0]]]],
            count($choices) > 1 => $this->evenly($choices, $chance ?? Rational::one()),
            default => [[$chance ?? Rational::one(), $alleles]],
        };
        $alternatives = array_values(array_filter($alternatives, static fn (array $alternative): bool => ! $alternative[0]->isZero()));
        $this->statements[] = new Statement($alternatives, $piece, $start->from, $to, $maker, count($choices) > 1);
        $this->pieces[] = new Piece($piece, $start->from, $to, $this->meaning($alternatives, $maker));
    }

    /**
     * @return list<string> one or two alleles of one locus
     *
     * @throws NotationError when the dose does not fit the name
     */
    private function allelesOf(Name $name, Dose $dose, Token $from): array
    {
        if ($name->kind === NameKind::TwoCopies || $name->kind === NameKind::Compound) {
            if ($dose === Dose::Het || ($dose === Dose::Two && $name->kind === NameKind::Compound)) {
                $why = $name->kind === NameKind::Compound ? 'is a compound of two alleles already' : 'is a form with two copies already';
                throw NotationError::misplaced($name->text, $from->from, "{$name->text} {$why}; write it without “{$dose->word()}”.", [$name->text]);
            }

            return $name->alleles;
        }
        $allele = $this->catalogue->allele($name->alleles[0] ?? '');
        if ($this->stream->current()->is(TokenType::Slash)) {
            return $this->compound($allele, $from, $dose);
        }

        return $this->copies($allele, $dose, $from);
    }

    /** @return list<string> */
    private function copies(Allele $allele, Dose $dose, Token $from): array
    {
        if ($allele->inheritance === Inheritance::Recessive) {
            return match ($dose) {
                Dose::Het => [$allele->key],
                Dose::Two => throw NotationError::misplaced($allele->name, $from->from, "{$allele->name} is recessive: with two copies it is written plain “{$allele->name}”.", [$allele->name]),
                Dose::Plain, Dose::Visual => [$allele->key, $allele->key],
            };
        }
        if ($dose === Dose::Het) {
            $this->notes[] = "{$allele->name} shows in one copy, so “het” adds nothing: read as one copy of {$allele->name}.";
        }
        if ($dose === Dose::Plain && $allele->inheritance === Inheritance::Dominant) {
            $this->notes[] = "{$allele->name} is dominant: one copy is assumed, since two look the same. Write {$allele->twoCopyName} for two.";
        }

        return $dose === Dose::Two ? [$allele->key, $allele->key] : [$allele->key];
    }

    /** @return list<string> */
    private function compound(Allele $first, Token $from, Dose $dose): array
    {
        $this->stream->advance();
        if ($this->stream->current()->text === '+') { // "Clown/+": one copy beside the wild type
            $this->stream->advance();

            return [$first->key];
        }
        $at = $this->stream->current();
        $match = $this->names->match($this->stream);
        if ($match === null) {
            throw $this->nameParser->unknown($at);
        }
        $this->stream->advance($match[1]);
        $second = $match[0]->kind === NameKind::Allele ? $this->catalogue->allele($match[0]->alleles[0] ?? '') : null;
        $piece = $this->stream->slice($from->from, $this->stream->previous()->to);
        if ($second === null || $dose === Dose::Het || $dose === Dose::Two) {
            throw NotationError::misplaced($piece, $from->from, 'a slash joins two single alleles, without het or super.');
        }
        if ($second->locus !== $first->locus) {
            throw NotationError::misplaced($piece, $from->from, "{$first->name} and {$second->name} are not alleles of one locus, so there is no such compound. Write them side by side.", ["{$first->name} {$second->name}"]);
        }

        return [$first->key, $second->key];
    }

    private function nickname(Name $name, Token $start, Token $from, Dose $dose, ?Rational $chance): void
    {
        $piece = $this->stream->slice($start->from, $this->stream->previous()->to);
        if ($dose !== Dose::Plain || $chance !== null) {
            throw NotationError::misplaced($piece, $start->from, "{$name->text} is a nickname for {$name->means}; give chances and hets gene by gene.", [$name->means]);
        }
        $inner = new self($this->catalogue, $this->names, $this->lines, $name->means);
        $inner->parse();
        foreach ($inner->errors as $error) {
            $choices = array_map(static fn (string $choice): string => str_replace($error->piece, $choice, $name->means), $error->suggestions);
            throw NotationError::question($piece, $from->from, "{$name->text} is short for {$name->means}.", $choices);
        }
        foreach ($inner->statements as $statement) {
            $this->statements[] = new Statement($statement->alternatives, $piece, $start->from, $this->stream->previous()->to);
        }
        $this->notes = [...$this->notes, ...$inner->notes()];
        $this->pieces[] = new Piece($piece, $start->from, $this->stream->previous()->to, $name->means);
    }

    private function dose(): Dose
    {
        $dose = Dose::Plain;
        while ($this->names->match($this->stream) === null) {
            if ($this->stream->take('het', 'hets', 'heterozygous')) {
                $this->stream->take('for');
                $dose = Dose::Het;
            } elseif ($this->stream->take('super', 'homozygous', 'homo')) {
                $dose = Dose::Two;
            } elseif ($this->stream->take('visual')) {
                $dose = Dose::Visual;
            } else {
                break;
            }
        }

        return $dose;
    }

    private function takePossible(): bool
    {
        if ($this->names->match($this->stream) !== null) {
            return false;
        }
        if ($this->stream->take(...self::POSSIBLE)) {
            return true;
        }
        if ($this->stream->current()->isWord('may') && $this->stream->peek()->isWord('carry')) {
            $this->stream->advance(2);

            return true;
        }

        return false;
    }

    /** "66%" or "2/3" before a form. */
    private function chance(): ?Rational
    {
        $number = $this->stream->current();
        if (! $number->is(TokenType::Number)) {
            return null;
        }
        $this->stream->advance();
        $isFraction = $this->stream->current()->is(TokenType::Slash) && $this->stream->peek()->is(TokenType::Number);
        if ($isFraction) {
            $this->stream->advance(2);
        } elseif (! $this->stream->takeType(TokenType::Percent)) {
            throw NotationError::misplaced($number->text, $number->from, "a number alone says nothing. Write {$number->text}% for a chance.", ["{$number->text}%"]);
        }
        $piece = $this->stream->slice($number->from, $this->stream->previous()->to);
        try {
            $chance = $isFraction ? Rational::parseChance($piece) : Percentage::parse($number->text);
        } catch (InvalidNumber) {
            throw NotationError::impossiblePercentage($piece, $number->from);
        }

        return $chance->isZero() ? throw NotationError::impossiblePercentage($piece, $number->from) : $chance;
    }

    /**
     * What stands in parentheses behind a form: "(60%)", "(33% two copies)", "(male maker)".
     *
     * @param list<string> $alleles
     * @return array{Rational|null, Rational|null, Sex|null} chance of the form, chance of two copies, maker
     */
    private function modifiers(array $alleles): array
    {
        $chance = $twoCopies = $maker = null;
        while ($this->stream->current()->is(TokenType::Open)) {
            $open = $this->stream->current();
            $this->stream->advance();
            $sex = Sex::tryFrom($this->stream->current()->word);
            if ($sex !== null && $this->stream->peek()->isWord('maker')) {
                $this->stream->advance(2);
                $maker = $sex;
                $this->requireSexLinked($alleles, $open);
            } elseif (($given = $this->chance()) !== null) {
                if ($this->stream->take('two')) {
                    $this->stream->take('copies');
                    $twoCopies = $given;
                } else {
                    $chance = $given;
                }
            } else {
                while (! $this->stream->atEnd() && ! $this->stream->takeType(TokenType::Close)) {
                    $this->stream->advance();
                }
                $piece = $this->stream->slice($open->from, $this->stream->previous()->to);
                throw NotationError::misplaced($piece, $open->from, 'in parentheses stand a chance, “(60%)” or “(33% two copies)”, or “(male maker)”.');
            }
            if (! $this->stream->takeType(TokenType::Close)) {
                throw NotationError::misplaced('(', $open->from, 'this parenthesis is not closed.');
            }
        }
        if ($twoCopies !== null && count($alleles) !== 1) {
            throw NotationError::misplaced($this->stream->previous()->text, $this->stream->previous()->from, 'a chance of two copies can only stand behind one copy.');
        }

        return [$chance, $twoCopies, $maker];
    }

    /** @param list<string> $alleles */
    private function requireSexLinked(array $alleles, Token $open): void
    {
        $allele = $this->catalogue->allele($alleles[0] ?? '');
        if (! $this->catalogue->groupOf($allele->locus)->holdsSex()) {
            $this->stream->takeType(TokenType::Close);
            throw NotationError::misplaced('(… maker)', $open->from, "{$allele->name} is not linked to sex, so it makes neither more males nor more females.", [$allele->name]);
        }
        if (count($alleles) === 2) {
            $this->stream->takeType(TokenType::Close);
            throw NotationError::misplaced('(… maker)', $open->from, 'with two copies both sex chromosomes carry it.');
        }
    }

    /**
     * @param list<list<string>> $choices
     * @return list<array{Rational, list<string>}>
     */
    private function evenly(array $choices, Rational $chance): array
    {
        $each = $chance->times(Rational::of(1, count($choices)));

        return array_map(static fn (array $alleles): array => [$each, $alleles], $choices);
    }

    private function readNormal(Token $start): void
    {
        $this->stream->advance();
        if ($start->isWord('wild')) {
            $this->stream->take('type');
        }
        $this->normal = $start;
        $this->pieces[] = new Piece($this->stream->slice($start->from, $this->stream->previous()->to), $start->from, $this->stream->previous()->to, 'no gene that shows');
    }

    /** "Normal" beside a gene that shows is a contradiction; beside hets it is not. */
    private function checkNormal(): void
    {
        if ($this->normal === null) {
            return;
        }
        foreach ($this->statements as $statement) {
            $form = $statement->isCertain() ? $this->formOf($statement->alleles()) : null;
            if ($form !== null && $form->shows !== []) {
                $this->errors[] = NotationError::misplaced($this->normal->text, $this->normal->from, "the text also names {$form->text}, which shows.");
            }
        }
    }

    /** @param list<array{Rational, list<string>}> $alternatives */
    private function meaning(array $alternatives, ?Sex $maker): string
    {
        $parts = [];
        foreach ($alternatives as [$weight, $alleles]) {
            $form = $this->formOf($alleles);
            $copies = count($alleles) === 2 ? ($alleles[0] === $alleles[1] ? 'two copies' : 'one copy of each, at one locus') : 'one copy';
            $known = $form->knownAs === null ? '' : " ({$form->knownAs})";
            $parts[] = ($weight->isOne() ? '' : Percentage::print($weight).' ')."{$form->text}{$known}: {$copies}".($form->shows === [] ? ', does not show' : '');
        }

        return implode('; or ', $parts).($maker === null ? '' : ", {$maker->value} maker");
    }

    /** @param list<string> $alleles */
    private function formOf(array $alleles): Form
    {
        $locus = $this->catalogue->allele($alleles[0] ?? '')->locus;

        return $this->catalogue->form($locus, $alleles[0] ?? Allele::WILD, $alleles[1] ?? Allele::WILD);
    }

    /** @param list<string> $alleles */
    private function formText(array $alleles): string
    {
        return $this->formOf($alleles)->text;
    }
}
