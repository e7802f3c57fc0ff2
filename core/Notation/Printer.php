<?php

declare(strict_types=1);

namespace Destino\Notation;

use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Expression;
use Destino\Genome\Form;
use Destino\Genome\FormKind;
use Destino\Genome\Inheritance;
use Destino\Genome\JointBelief;
use Destino\Genome\Sex;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/**
 * Writes genotypes in the notation that the reader reads back: what shows in one copy first, recessives next, hets
 * last by certainty, each group in catalogue order.
 *
 * @phpstan-type Words list<array{kind: FormKind, certainty: Rational, rank: int, text: string}>
 */
final readonly class Printer
{
    public const NORMAL = 'Normal';

    public function __construct(private Catalogue $catalogue) {}

    /**
     * @param iterable<Form> $forms one per locus
     * @param array<string, Sex> $makers by locus, where the phase is sure
     */
    public function forms(iterable $forms, array $makers = []): string
    {
        $words = [];
        foreach ($forms as $form) {
            if (! $form->isWild()) {
                $maker = isset($makers[$form->locus]) ? " ({$makers[$form->locus]->value} maker)" : '';
                $words[] = $this->word($form, Rational::one(), $form->text.$maker);
            }
        }

        return self::joined($words);
    }

    public function belief(Belief $belief): string
    {
        $words = $said = [];
        foreach ($belief->factors as $factor) {
            $either = $this->oneOf($factor);
            if ($either !== null && $either['isEven']) {
                $words[] = $either['word'];
                $said += array_fill_keys($either['loci'], true);
            }
        }
        foreach ($belief->groups() as $key) {
            $group = $this->catalogue->groups[$key];
            foreach ($group->loci as $locus) {
                if ($locus !== Sex::LOCUS && ! isset($said[$locus])) {
                    $maker = $belief->sex === Sex::Male ? $this->sureMaker($belief, $locus) : null;
                    array_push($words, ...$this->locus($locus, $belief->marginalAt($locus, $group), $maker));
                }
            }
        }

        return self::joined($words);
    }

    /**
     * "70% Pastel or 30% Enchi": forms at several loci of which the animal has exactly one, with odds that the notation has no words
     * for; read locus by locus they would not be tied.
     *
     * @return list<string>
     */
    public function unevenTies(Belief $belief): array
    {
        $ties = array_filter(array_map($this->oneOf(...), $belief->factors), static fn (?array $tie): bool => $tie !== null
            && ! $tie['isEven']);

        return array_values(array_map(static fn (array $tie): string => implode(' or ', array_map(
            static fn (string $form, Rational $chance): string => Percentage::print($chance)." {$form}", array_keys($tie['chances']),
                $tie['chances'],
        )), $ties));
    }

    /**
     * "Pastel or Enchi": every state of a factor has one form that the others have not.
     *
     * @return array{word: array{kind: FormKind, certainty: Rational, rank: int, text: string}, loci: list<string>, isEven: bool,
     *     chances: array<string, Rational>}|null
     */
    private function oneOf(JointBelief $factor): ?array
    {
        $chances = $forms = $common = $all = [];
        $states = count($factor->groups) > 1 ? $factor->states->entries() : [];
        foreach ($states as $key => [$state]) {
            $all[$key] = [];
            foreach ($factor->groups as $name) {
                $group = $this->catalogue->groups[$name];
                array_push($all[$key], ...array_values(Expression::of($this->catalogue, $group, $state->at($group))->forms));
            }
            foreach ($all[$key] as $form) {
                $common[$form->text] = ($common[$form->text] ?? 0) + 1;
            }
        }
        foreach ($states as $key => [, $chance]) {
            $own = array_values(array_filter($all[$key], static fn (Form $one): bool => ! $one->isWild()
                && $common[$one->text] < count($states)));
            if (count($own) !== 1 || isset($forms[$own[0]->text])) {
                return null;
            }
            [$forms[$own[0]->text], $chances[$own[0]->text]] = [$own[0], $chance];
        }
        if (count($forms) < 2 || count(array_unique(array_map(static fn (Form $form): string => $form->locus, $forms))) < 2) {
            return null;
        }
        uasort($forms, fn (Form $a, Form $b): int => $this->word($a, Rational::one(), '')['rank'] <=> $this->word($b, Rational::one(),
            '')['rank']);

        return [
            'word' => $this->word(reset($forms), Rational::one(), implode(' or ', array_keys($forms))),
            'loci' => array_values(array_map(static fn (Form $form): string => $form->locus, $forms)),
            'isEven' => count(array_unique(array_map(static fn (Rational $chance): string => $chance->toString(), $chances))) === 1,
            'chances' => array_map(static fn (Form $form): Rational => $chances[$form->text], $forms),
        ];
    }

    /**
     * What is believed at one locus: "Pastel", "66% het Clown", "Pinstripe (33% two copies)", "Yellow Belly or Gravel",
     * "possible Pastel (50%)".
     *
     * @param Distribution<array{string, string}> $pairs
     * @return Words
     */
    public function locus(string $locus, Distribution $pairs, ?Sex $maker = null): array
    {
        $forms = [];
        foreach ($pairs->entries() as [$pair, $chance]) {
            $forms[] = [$this->catalogue->form($locus, ...$pair), $chance];
        }
        usort($forms, static fn (array $a, array $b): int => $a[0]->order <=> $b[0]->order);
        if (count($forms) === 1) {
            $suffix = $maker === null ? '' : " ({$maker->value} maker)";

            return $forms[0][0]->isWild() ? [] : [$this->word($forms[0][0], Rational::one(), $forms[0][0]->text.$suffix)];
        }

        return $this->oneOrTwoCopies($forms) ?? $this->either($forms) ?? $this->possible($forms);
    }

    /** @param list<Words> $parts */
    public static function text(array $parts): string
    {
        return self::joined(array_merge(...$parts));
    }

    /**
     * @param list<array{Form, Rational}> $forms
     * @return Words|null
     */
    private function oneOrTwoCopies(array $forms): ?array
    {
        if (count($forms) !== 2) {
            return null;
        }
        [[$two, $chance], [$one]] = $forms;
        $dominant = $two->isTwoCopies() && $one->pair[0] === $two->pair[0] && ! $one->isCompound()
            && $this->catalogue->allele($one->pair[0])->inheritance === Inheritance::Dominant;

        return $dominant ? [$this->word($one, Rational::one(), "{$one->text} (".Percentage::print($chance).' two copies)')] : null;
    }

    /**
     * @param list<array{Form, Rational}> $forms
     * @return Words|null
     */
    private function either(array $forms): ?array
    {
        foreach ($forms as [$form, $chance]) {
            if ($form->isWild() || $form->kind !== $forms[0][0]->kind || ! $chance->equals($forms[0][1])) {
                return null;
            }
        }

        return [
            $this->word(
                $forms[0][0], Rational::one(),
                implode(' or ', array_map(static fn (array $form): string => $form[0]->text, $forms)),
            ),
        ];
    }

    /**
     * @param list<array{Form, Rational}> $forms
     * @return Words
     */
    private function possible(array $forms): array
    {
        $words = [];
        foreach ($forms as [$form, $chance]) {
            if (! $form->isWild()) {
                $percent = Percentage::print($chance);
                $words[] = $this->word(
                    $form, $chance,
                    $form->kind === FormKind::Het ? "{$percent} {$form->text}" : "possible {$form->text} ({$percent})",
                );
            }
        }

        return $words;
    }

    /** @return array{kind: FormKind, certainty: Rational, rank: int, text: string} */
    private function word(Form $form, Rational $certainty, string $text): array
    {
        return [
            'kind' => $form->kind, 'certainty' => $certainty,
            'rank' => $this->catalogue->locus($form->locus)->rank * 1000 + $form->order, 'text' => $text,
        ];
    }

    /** @param Words $words */
    private static function joined(array $words): string
    {
        usort($words, static function (array $a, array $b): int {
            $byKind = $a['kind']->value <=> $b['kind']->value;
            $byCertainty = $a['kind'] === FormKind::Het
                ? $b['certainty']->compareTo($a['certainty'])
                : $b['certainty']->isOne() <=> $a['certainty']->isOne();

            return $byKind !== 0 ? $byKind : ($byCertainty !== 0 ? $byCertainty : $a['rank'] <=> $b['rank']);
        });

        return $words === [] ? self::NORMAL : implode(' ', array_column($words, 'text'));
    }

    /** Where every state agrees on the chromosome that carries the one copy. */
    private function sureMaker(Belief $belief, string $locus): ?Sex
    {
        $group = $this->catalogue->groupOf($locus);
        if (! $group->holdsSex()) {
            return null;
        }
        $makers = [];
        foreach ($belief->factorOf($group)->states->entries() as [$state]) {
            $makers[] = $group->makerOf($state->at($group), $locus);
        }
        $first = $makers[0] ?? null;

        return array_filter($makers, static fn (?Sex $maker): bool => $maker !== $first) === [] ? $first : null;
    }
}
