<?php

declare(strict_types=1);

namespace Destino\Notation;

use Closure;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Inheritance;

/** What alleles a name with its dose stands for, and how a slash between two names is to be read. */
final class FormReader
{
    /** @var list<string> */
    public array $notes = [];

    public readonly FormWords $words;

    /** @param bool $isSlashEither whether a slash between names of one locus means "one of these", as the house rules may say */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly NameIndex $names,
        private readonly TokenStream $stream,
        private readonly NameParser $nameParser,
        private readonly bool $isSlashEither,
    ) {
        $this->words = new FormWords($catalogue);
    }

    public function note(string $note): void
    {
        $this->notes[] = $note;
    }

    public function isRecessive(Name $name): bool
    {
        return $name->kind === NameKind::Allele
            && $this->catalogue->allele($name->alleles[0] ?? '')->inheritance === Inheritance::Recessive;
    }

    /** Whether a shared word is a class of pairs and not a name of lines. */
    public function isClass(Name $name): bool
    {
        return count($this->allelesNamed(array_slice($name->choices, 0, 1))) === 2;
    }

    /**
     * @param list<string> $names in the notation
     * @return list<string> their alleles
     */
    public function allelesNamed(array $names): array
    {
        $alleles = [];
        foreach ($names as $name) {
            $stream = new TokenStream($name);
            while (! $stream->atEnd()) {
                $match = $this->names->match($stream);
                $alleles = [...$alleles, ...($match[0]->alleles ?? [])];
                $stream->advance($match[1] ?? 1);
            }
        }

        return $alleles;
    }

    /**
     * @return non-empty-list<list<string>> one or two alleles of one locus, for each thing that may be meant
     *
     * @throws NotationError when the dose does not fit the name
     */
    public function alternatives(Name $name, Dose $dose, Token $from): array
    {
        if ($name->kind === NameKind::TwoCopies || $name->kind === NameKind::Compound) {
            if ($dose === Dose::Het || ($dose->isTwo() && $name->kind === NameKind::Compound)) {
                $why = $name->kind === NameKind::Compound ? 'is a compound of two alleles already' : 'is a form with two copies already';
                throw NotationError::misplaced(
                    $name->text, $from->from, "{$name->text} {$why}; write it without “{$dose->word()}”.", [$name->text],
                );
            }

            return [$name->alleles];
        }
        $allele = $this->catalogue->allele($name->alleles[0] ?? '');

        return $this->stream->current()->is(TokenType::Slash)
            ? $this->behindSlash($allele, $dose, $from)
            : [$this->copies($allele, $dose, $from)];
    }

    /** @return list<string> */
    public function copies(Allele $allele, Dose $dose, Token $from): array
    {
        $rule = DoseRule::of($dose, $allele);
        if ($rule->copies === null) {
            throw NotationError::misplaced(
                $allele->name, $from->from,
                "{$allele->name} is recessive: with two copies it is written plain “{$allele->name}”.", [$allele->name],
            );
        }
        if ($rule->statementNote !== '') {
            $this->notes[] = $rule->statementNote;
        }

        return array_fill(0, $rule->copies, $allele->key);
    }

    /**
     * A slash joins two alleles of one locus; between names of different loci it is a comma, between two names of one allele it
     * says nothing.
     *
     * @return non-empty-list<list<string>>
     */
    private function behindSlash(Allele $first, Dose $dose, Token $from): array
    {
        $written = $from->word;
        $other = $this->allelesAfterSlash();
        $isWild = $this->stream->peek()->text === '+' || ($other === null && Keyword::of($this->stream->peek()) === Keyword::Normal);
        if ($isWild) { // "Clown/+", "Clown/wt", "Clown/wild type": one copy beside the wild type
            $this->stream->advance($this->stream->peek()->isWord('wild') && $this->stream->peek(2)->isWord('type') ? 3 : 2);

            return [[$first->key]];
        }
        if ($other === null || ($dose->isTwo() && $other->locus === $first->locus)) {
            return $other !== null
                ? throw NotationError::misplaced($this->takePiece($from), $from->from, 'a slash joins two single alleles, without super.')
                : [$this->copies($first, $dose, $from)];
        }
        if ($other->locus !== $first->locus) {
            return [$this->copies($first, $dose, $from)]; // the slash is taken as a comma (takeSeparator)
        }
        $isRepeated = $this->stream->peek()->word === $written;
        $piece = $this->takePiece($from);
        if ($other === $first && ! $isRepeated) {
            $this->notes[] = "“{$piece}” is two names of one gene: read as {$first->name}.";

            return [$this->copies($first, $dose, $from)];
        }
        if ($dose === Dose::Het) {
            throw NotationError::question(
                $piece, $from->from, 'Two alleles of one locus together are no het.',
                ["het {$first->name} or het {$other->name}", $this->catalogue->form($first->locus, $first->key, $other->key)->text],
            );
        }

        return $this->pair($first, $other, $piece, $from);
    }

    /** @return non-empty-list<list<string>> */
    private function pair(Allele $first, Allele $second, string $piece, Token $from): array
    {
        if ($first === $second || ! $this->words->isMixedUp($first, $second)) {
            return [[$first->key, $second->key]];
        }
        $either = "{$first->name} or {$second->name}";
        $compound = $this->catalogue->form($first->locus, $first->key, $second->key)->text;
        if ($this->isSlashEither) {
            $this->notes[] = "“{$piece}” is read as “{$either}”, as the house rules say.";

            return [$this->copies($first, Dose::Visual, $from), $this->copies($second, Dose::Visual, $from)];
        }
        $this->notes[] = "“{$piece}” is read as the compound {$compound}, one allele from each parent. If you mean one of the two and do "
            ."not know which, write “{$either}”.";

        return [[$first->key, $second->key]];
    }

    /** The allele that a name behind the slash stands for; null where it is another kind of name, or none. */
    private function allelesAfterSlash(): ?Allele
    {
        $stream = new TokenStream($this->stream->textFrom($this->stream->peek()->from));
        $match = $this->names->match($stream);

        return $match !== null && $match[0]->kind === NameKind::Allele ? $this->catalogue->allele($match[0]->alleles[0] ?? '') : null;
    }

    private function takePiece(Token $from): string
    {
        $this->stream->advance();
        $match = $this->names->match($this->stream);
        $this->stream->advance($match[1] ?? 1);

        return $this->stream->slice($from->from, $this->stream->previous()->to);
    }

    /**
     * A slash that joins nothing is a comma; what was announced before it holds behind it as well ("het Clown/Piebald").
     *
     * @param Closure(Announced): mixed $readNext
     */
    public function takeSeparator(Announced $announced, Closure $readNext): void
    {
        $slash = $this->stream->current();
        if (! $slash->is(TokenType::Slash)) {
            return;
        }
        $this->stream->advance();
        if (
            $this->names->match($this->stream) === null
            && Keyword::of($this->stream->current()) === null
            && ! $this->stream->current()->is(TokenType::Number)
        ) {
            throw $this->nameParser->unknown($this->stream->current());
        }
        $note = 'A slash between genes of different loci is read as a comma.';
        $this->notes = in_array($note, $this->notes, true) ? $this->notes : [...$this->notes, $note];
        if ($announced->dose === Dose::Het && $this->names->match($this->stream) !== null) {
            $readNext($announced->as(Dose::Het, $announced->chance));
        }
    }
}
