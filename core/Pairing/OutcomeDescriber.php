<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Brick\Math\BigInteger;
use Destino\Genome\Form;
use Destino\Genome\FormKind;
use Destino\Genome\SchoolChanges;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;
use WeakMap;

/** Puts the parts of an outcome from all blocks together and gives it its label. */
final readonly class OutcomeDescriber
{
    /**
     * @var WeakMap<SpaceItem, list<list<array{kind: FormKind, certainty: Rational, rank: int, text: string}>>> words of the
     *     items met so far
     */
    private WeakMap $words;

    /**
     * @var WeakMap<SpaceItem, array{sex: Sex|null, forms: array<string, Form>, known: list<string>}> what is sure of the items met
     *     so far
     */
    private WeakMap $parts;

    public function __construct(private Printer $printer, private ?AlikeForms $alike = null)
    {
        $this->words = new WeakMap;
        $this->parts = new WeakMap;
    }

    /** @param list<SpaceItem> $items one per block */
    public function describe(array $items, Rational $probability): Outcome
    {
        $sex = null;
        $forms = $phase = $known = [];
        $genotypes = BigInteger::one();
        $isLethal = false;
        foreach ($items as $item) {
            $first = $item->members[0];
            $part = $this->parts[$item] ??= self::partOf($item);
            $sex ??= $part['sex'];
            $isLethal = $isLethal || $first->isLethal;
            $phase += $first->phase;
            $genotypes = count($item->members) === 1 ? $genotypes : $genotypes->multipliedBy(count($item->members));
            $forms += $part['forms'];
            $known = $part['known'] === [] ? $known : [...$known, ...$part['known']];
        }

        return new Outcome($this->label($items, $isLethal), $known, $probability, $sex, $forms, $isLethal, $phase, $genotypes, $items);
    }

    /** @return array{sex: Sex|null, forms: array<string, Form>, known: list<string>} where all genotypes of an item agree */
    private static function partOf(SpaceItem $item): array
    {
        $first = $item->members[0];
        $sexes = array_unique(array_map(static fn (BlockOutcome $member): ?Sex => $member->sex, $item->members), SORT_REGULAR);
        $forms = array_filter(
            $first->forms, static fn (Form $form, string $locus): bool => self::agree($item, $locus, $form), ARRAY_FILTER_USE_BOTH,
        );
        $known = array_map(static fn (Form $form): ?string => $form->knownAs, $forms);

        return [
            'sex' => count($sexes) === 1 ? $first->sex : null, 'forms' => $forms,
            'known' => array_values(array_filter($known, static fn (?string $name): bool => $name !== null)),
        ];
    }

    /** @param list<SpaceItem> $items */
    private function label(array $items, bool $isLethal): string
    {
        $isOneGenotype = array_filter($items, static fn (SpaceItem $item): bool => count($item->members) > 1) === [];
        if ($isLethal && ! $isOneGenotype) { // nothing else is ever seen of it
            return $this->printer->forms(
                array_merge(
                    ...array_map(
                        static fn (SpaceItem $item): array => array_values(
                            array_filter($item->members[0]->forms, static fn (Form $form): bool => $form->isLethal()),
                        ),
                        $items,
                    ),
                ),
            );
        }

        return Printer::text(array_merge(...array_map($this->wordsOf(...), $items)));
    }

    /**
     * @return list<list<array{kind: FormKind, certainty: Rational, rank: int, text: string}>> by locus; an item stands in
     *     many outcomes and is put in words once
     */
    private function wordsOf(SpaceItem $item): array
    {
        if (! isset($this->words[$item])) {
            [$words, $covered] = $this->alike === null ? [[], []] : $this->alike->words($item);
            foreach (array_keys($item->members[0]->forms) as $locus) {
                $words[] = $this->printer->locus($locus, self::marginal($item, $locus, $covered), self::sureMaker($item, $locus));
            }
            $this->words[$item] = $words;
        }

        return $this->words[$item];
    }

    /**
     * P(pair at the locus | this look).
     *
     * @param array<string, true> $covered pairs that the label names already
     * @return Distribution<array{string, string}>
     */
    private static function marginal(SpaceItem $item, string $locus, array $covered): Distribution
    {
        $weighted = [];
        foreach ($item->members as $member) {
            $pair = $member->forms[$locus]->pair;
            $key = SchoolChanges::pairKey(...$pair);
            [$key, $pair] = isset($covered["{$locus}:{$key}"]) ? ['+/+', ['+', '+']] : [$key, $pair];
            $weighted[] = [$key, $pair, $member->probability->dividedBy($item->probability)];
        }

        return Distribution::ofWeighted($weighted);
    }

    private static function agree(SpaceItem $item, string $locus, Form $form): bool
    {
        foreach ($item->members as $member) {
            if ($member->forms[$locus]->pair !== $form->pair) {
                return false;
            }
        }

        return true;
    }

    private static function sureMaker(SpaceItem $item, string $locus): ?Sex
    {
        $makers = array_map(static fn (BlockOutcome $member): ?Sex => $member->makers[$locus] ?? null, $item->members);

        return count(array_unique($makers, SORT_REGULAR)) === 1 ? $makers[0] : null;
    }
}
