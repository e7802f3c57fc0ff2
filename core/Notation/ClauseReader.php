<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;

/** Reads what a condition of a target asks of one locus, after its name. */
final class ClauseReader
{
    /** @var list<string> what the reader says of how it read */
    public array $notes = [];

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly TokenStream $stream,
        private readonly NameParser $names,
    ) {}

    public function read(Name $name, string $word, Dose $dose, Token $from): Clause
    {
        $alleles = [...$name->alleles, ...$this->afterSlash($name, $from)];
        $text = trim(($word === '' ? '' : $word.' ').$this->stream->slice($from->from, $this->stream->previous()->to));
        $isPair = count($alleles) === 2 || $dose->isTwo();
        if (count($alleles) === 1 && $dose->isTwo()) {
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
            default => $this->positive($allele, $alleles, $dose),
        };

        return new Clause($kind, $allele->locus, $kind === ClauseKind::TwoCopies ? [$alleles[0]] : $alleles, $text);
    }

    /** @param list<string> $alleles */
    private function positive(Allele $allele, array $alleles, Dose $dose): ClauseKind
    {
        if (count($alleles) === 2) {
            return $alleles[0] === $alleles[1] ? ClauseKind::TwoCopies : ClauseKind::Compound;
        }
        $rule = DoseRule::of($dose, $allele);
        if ($rule->targetNote !== '') {
            $this->notes[] = $rule->targetNote;
        }

        return $rule->clause;
    }

    /** @return list<string> the other allele of a pair, where a slash follows */
    private function afterSlash(Name $name, Token $from): array
    {
        if ($name->kind !== NameKind::Allele || ! $this->stream->takeType(TokenType::Slash)) {
            return [];
        }
        $at = $this->stream->current();
        [$second] = $this->names->read();
        if ($second->kind !== NameKind::Allele || $this->locusOf($second) !== $this->locusOf($name)) {
            throw NotationError::misplaced(
                $this->stream->slice($from->from, $this->stream->previous()->to), $at->from, 'a slash joins two alleles of one locus.',
            );
        }

        return $second->alleles;
    }

    private function locusOf(Name $name): string
    {
        return $this->catalogue->allele($name->alleles[0] ?? '')->locus;
    }
}
