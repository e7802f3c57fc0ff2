<?php

declare(strict_types=1);

namespace Destino\Appearance;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Facts;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use Destino\Genome\Visibility;

/**
 * What the gene facts say of looks: amounts by axis for each form, what two genes change in each other, what comes with age.
 *
 * @phpstan-type Effects array<string, float>
 */
final class LookFacts
{
    /** A grown animal. */
    public const ADULT = 1000;

    /**
     * @param array<string, Axis> $axes
     * @param array<string, Effects> $one by allele: one copy, or the visual form of a recessive
     * @param array<string, Effects> $two by allele
     * @param array<string, Effects> $compounds by the two alleles in alphabetical order
     * @param list<array{list<string>, Effects, string}> $changes alleles, what they change, words
     */
    private function __construct(
        public readonly array $axes,
        private readonly array $one,
        private readonly array $two,
        private readonly array $compounds,
        private readonly array $changes,
        private readonly AgeCurves $ages,
    ) {}

    /** @param array<string, mixed> $document the gene facts, which follow their schema */
    public static function of(array $document): self
    {
        $facts = Facts::of($document);
        $one = $two = $ages = $compounds = $changes = [];
        foreach ($facts->children('genes') as $gene) {
            $key = $gene->string('key');
            [$one[$key], $ages[$key]] = [$gene->numbers('effects'), $gene->curves('ages')];
            if ($gene->child('two_copies')->has('effects')) {
                $two[$key] = $gene->child('two_copies')->numbers('effects');
            }
        }
        foreach ($facts->children('compounds') as $compound) {
            if ($compound->has('effects')) {
                $compounds[self::key($compound->strings('alleles'))] = $compound->numbers('effects');
            }
        }
        foreach ($facts->children('interactions') as $change) {
            $changes[] = [$change->strings('alleles'), $change->numbers('effects'), $change->string('text')];
        }

        return new self(self::axes($facts), $one, $two, $compounds, $changes, new AgeCurves($ages));
    }

    /** @return array<string, Axis> */
    private static function axes(Facts $facts): array
    {
        $axes = [];
        foreach ($facts->children('axes') as $axis) {
            $axes[$axis->string('key')] = new Axis(
                $axis->string('key'), $axis->string('name'), $axis->string('group'), $axis->string('where'), $axis->string('more'),
                $axis->string('less'), $axis->has('spread') ? $axis->number('spread') : 0.0,
            );
        }

        return $axes;
    }

    /**
     * The look of a genotype.
     *
     * @param list<Form> $forms those of the wild type may be left out
     * @param int $days age
     * @param int $seed 0 gives the typical animal, others individuals
     */
    public function look(Catalogue $catalogue, array $forms, int $days = self::ADULT, int $seed = 0): Look
    {
        $forms = array_values(array_filter($forms, static fn (Form $form): bool => $form->shows !== []));
        $visibility = new Visibility($catalogue);
        $masks = $visibility->masks($forms, all: true);
        $reasons = $hidden = [];
        $sureness = count($forms) > 1 ? Sureness::Inferred : Sureness::Known;
        foreach ($forms as $form) {
            [$effects, $own] = $this->effectsOf($catalogue, $form);
            $sureness = $sureness->and($own);
            $isSeen = false;
            foreach ($effects as $axis => $amount) {
                $amount *= Veil::through($masks, $catalogue, $form, $this->axes[$axis]) * $this->ages->share($form, $axis, $days);
                if (abs($amount) > 1e-9) {
                    $reasons[$axis][] = [$form->text, $amount];
                    $isSeen = true;
                }
            }
            if ($effects !== [] && ! $isSeen) {
                $hidden[] = $form->text;
            }
        }
        $sure = $visibility->masks($forms);
        $seen = array_values(array_filter($forms, static fn (Form $form): bool => ! $visibility->isHidden($form, $sure)));
        foreach ($this->changesIn($seen) as [$words, $effects]) { // two genes that are both in sight change each other
            foreach ($effects as $axis => $amount) {
                $reasons[$axis][] = [$words, $amount];
            }
        }
        $values = array_map(self::together(...), $reasons);
        ksort($values);

        return new Look(Spread::among($this->axes, $values, $seed), $reasons, $sureness, $hidden, $days, $seed);
    }

    /**
     * Amounts add up; one that takes a pigment away altogether wins over what would add to it.
     *
     * @param non-empty-list<array{string, float}> $parts
     */
    private static function together(array $parts): float
    {
        $amounts = array_column($parts, 1);
        $least = min($amounts);
        $sum = array_sum($amounts);

        return max(-3.0, min(3.0, $least <= Axis::REMOVES ? min($sum, $least) : $sum));
    }

    /**
     * @return array{Effects, Sureness}
     */
    private function effectsOf(Catalogue $catalogue, Form $form): array
    {
        [$a, $b] = $form->pair;
        if ($b === Allele::WILD || $a === Allele::WILD) {
            return [$this->one[$a === Allele::WILD ? $b : $a] ?? [], isset($this->one[$a]) ? Sureness::Known : Sureness::Unknown];
        }
        if ($a === $b) {
            $isRecessive = $catalogue->allele($a)->inheritance === Inheritance::Recessive;

            return isset($this->two[$a])
                ? [$this->two[$a], Sureness::Known]
                : [$this->one[$a] ?? [], $isRecessive ? Sureness::Known : Sureness::Inferred];
        }
        $known = $this->compounds[self::key([$a, $b])] ?? null;
        if ($known !== null) {
            return [$known, $form->isExtrapolated ? Sureness::Inferred : Sureness::Known];
        }

        return [self::halfway($this->both($a), $this->both($b)), $form->isExtrapolated ? Sureness::Unknown : Sureness::Inferred];
    }

    /** @return Effects of two copies, or of what is known */
    private function both(string $allele): array
    {
        return $this->two[$allele] ?? $this->one[$allele] ?? [];
    }

    /**
     * @param Effects $a
     * @param Effects $b
     * @return Effects
     */
    private static function halfway(array $a, array $b): array
    {
        $mean = [];
        foreach (array_keys($a + $b) as $axis) {
            $mean[$axis] = (($a[$axis] ?? 0.0) + ($b[$axis] ?? 0.0)) / 2;
        }

        return $mean;
    }

    /** @param list<string> $alleles */
    private static function key(array $alleles): string
    {
        sort($alleles);

        return implode('/', $alleles);
    }

    /**
     * @param list<Form> $forms
     * @return list<array{string, Effects}>
     */
    private function changesIn(array $forms): array
    {
        $shown = array_merge([], ...array_map(static fn (Form $form): array => $form->shows, $forms));
        $found = [];
        foreach ($this->changes as [$alleles, $effects, $words]) {
            if (array_diff($alleles, $shown) === []) {
                $found[] = [$words, $effects];
            }
        }

        return $found;
    }
}
