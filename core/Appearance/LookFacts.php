<?php

declare(strict_types=1);

namespace Destino\Appearance;

use ArrayObject;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Facts;
use Destino\Genome\Form;
use Destino\Genome\Inheritance;
use Destino\Genome\Mask;
use Destino\Genome\Visibility;
use WeakMap;

/**
 * What the gene facts say of looks: amounts by axis for each form, what two genes change in each other, what comes with age.
 *
 * @phpstan-type Effects array<string, float>
 */
final class LookFacts
{
    /** A grown animal. */
    public const ADULT = 1000;

    /** Amounts of which two genes together have as much as their age has brought of each. */
    private const WITH_AGE = ['freckles', 'lavender'];

    /** Effects of forms by age that are remembered. */
    private const KEPT = 4_000;

    /** @var WeakMap<Catalogue, ArrayObject<string, array{Effects, Sureness}>>|null by form and age */
    private ?WeakMap $known = null;

    /** @var array<string, array<int, array{array<string, int>, Effects, string}>> changes by the first of their alleles, and place */
    private readonly array $changesByFirst;

    /**
     * @param array<string, Axis> $axes
     * @param array<string, Effects> $one by allele: one copy, or the visual form of a recessive
     * @param array<string, Effects> $two by allele
     * @param array<string, Effects> $compounds by the two alleles in alphabetical order
     * @param list<array{array<string, int>, Effects, string}> $changes copies by allele, what they change, words
     * @param array<string, string> $sameAs by allele: the one that nobody tells it from
     * @param array<string, list<string>> $lessSure by allele: axes of effects that fewer keepers tell of than of the rest
     */
    private function __construct(
        public readonly array $axes,
        private readonly array $one,
        private readonly array $two,
        private readonly array $compounds,
        array $changes,
        private readonly AgeCurves $ages,
        private readonly array $sameAs,
        public readonly array $lessSure = [],
    ) {
        $byFirst = [];
        foreach ($changes as $place => $change) {
            $byFirst[(string) array_key_first($change[0])][$place] = $change;
        }
        $this->changesByFirst = $byFirst;
    }

    /** @return list<string> what is kept of it: not what was worked out */
    public function __sleep(): array
    {
        return array_values(array_diff(array_keys(get_object_vars($this)), ['known']));
    }

    /** @param array<string, mixed> $document the gene facts, which follow their schema */
    public static function of(array $document): self
    {
        $facts = Facts::of($document);
        $one = $two = $ages = $compounds = $changes = $sameAs = $lessSure = [];
        foreach ($facts->children('genes') as $gene) {
            $key = $gene->string('key');
            $ages[$key] = $gene->curves('ages');
            if ($gene->has('looks_as')) {
                $sameAs[$key] = $gene->string('looks_as');
            }
            if ($gene->has('less_sure')) {
                $lessSure[$key] = $gene->strings('less_sure');
            }
            if ($gene->has('effects')) {
                $one[$key] = $gene->numbers('effects');
            }
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
            $changes[] = [array_count_values($change->strings('alleles')), $change->numbers('effects'), $change->string('text')];
        }

        return new self(self::axes($facts), $one, $two, $compounds, $changes, new AgeCurves($ages), $sameAs, $lessSure);
    }

    /** Of a catalogue without looks. */
    public static function none(): self
    {
        return new self([], [], [], [], [], new AgeCurves([]), []);
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
        $masks = (new Visibility($catalogue))->masks($forms, all: true);
        $reasons = $hidden = [];
        $sureness = null;
        foreach ($forms as $form) {
            [$effects, $own] = $this->atAge($catalogue, $form, $days);
            $isSeen = false;
            foreach ($effects as $axis => $amount) {
                $amount *= $masks === [] ? 1.0 : Veil::through($masks, $catalogue, $form, $this->axes[$axis]);
                if (abs($amount) > 1e-9) {
                    $reasons[$axis][] = [$form->text, $amount];
                    $isSeen = true;
                }
            }
            if ($effects !== [] && ! $isSeen) {
                $hidden[] = $form->text;
            } else {
                $sureness = $sureness === null ? $own : $sureness->and($own)->and(Sureness::Inferred);
            }
        }
        $values = array_map(self::together(...), $reasons);
        foreach ($this->changesIn($forms) as [$words, $effects, $within]) { // what genes do together stands beside what each does
            foreach ($effects as $axis => $amount) {
                $amount *= $this->shareOfChange($masks, $catalogue, $within, $axis, $days);
                if (abs($amount) > 1e-9) {
                    $reasons[$axis][] = [$words, $amount];
                    $values[$axis] = ($values[$axis] ?? 0.0) + $amount;
                }
            }
        }
        $values = array_map(static fn (float $amount): float => max(-3.0, min(3.0, $amount)), $values);
        ksort($values);

        return new Look(
            Spread::among($this->axes, $values, $seed), $reasons, $sureness ?? Sureness::Known, $hidden, $days, $seed,
        );
    }

    /**
     * How much of what two genes do to each other is seen: what the masks of other loci let through of both; a mask of their own
     * leaves it whole where it lets the other form through at all. Nothing of it comes before what its genes bring themselves.
     *
     * @param list<Mask> $masks of the animal
     * @param non-empty-list<Form> $forms that change each other
     */
    private function shareOfChange(array $masks, Catalogue $catalogue, array $forms, string $axis, int $days): float
    {
        $loci = array_map(static fn (Form $form): string => $form->locus, $forms);
        $share = 1.0;
        foreach ($masks as $mask) {
            $least = min(array_map(
                fn (Form $form): float => Veil::through([$mask], $catalogue, $form, $this->axes[$axis]), $forms,
            ));
            $share *= in_array($mask->locus, $loci, true) && $least > 0.0 ? 1.0 : $least;
        }
        foreach ($forms as $form) {
            $reached = $this->ages->share($this->bare($form->pair), $axis, $days);
            $share *= $this->comesWithAge($axis) || $reached <= 0.0 ? min(1.0, $reached) : 1.0;
        }

        return $share;
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

        return $least <= Axis::REMOVES ? min($sum, $least) : $sum;
    }

    /**
     * What a form brings by itself at an age, unmasked.
     *
     * @return Effects
     */
    public function amountsOf(Catalogue $catalogue, Form $form, int $days = self::ADULT): array
    {
        return $form->shows === [] ? [] : $this->atAge($catalogue, $form, $days)[0];
    }

    /**
     * What a form brings at an age; worked out once, since looks of many genotypes are asked for together.
     *
     * @return array{Effects, Sureness}
     */
    private function atAge(Catalogue $catalogue, Form $form, int $days): array
    {
        $this->known ??= new WeakMap;
        $known = $this->known[$catalogue] ??= new ArrayObject;
        $key = "{$form->key()} {$days}";
        if (! isset($known[$key])) {
            count($known) < self::KEPT ? null : $known->exchangeArray([]);
            [$effects, $own] = $this->effectsOf($catalogue, $form);
            foreach ($effects as $axis => $amount) {
                $effects[$axis] = $amount * $this->ages->share($this->bare($form->pair), $axis, $days);
            }
            $known[$key] = [$effects, $own];
        }

        return $known[$key];
    }

    /** Whether what an allele brings comes or goes with age. */
    public function changesWithAge(string $allele): bool
    {
        return $this->ages->has($this->sameAs[$allele] ?? $allele);
    }

    /** Whether two genes together have no more of an amount than their age has brought of each. */
    public function comesWithAge(string $axis): bool
    {
        return in_array($axis, self::WITH_AGE, true);
    }

    /** @return array{Effects, Sureness} */
    private function effectsOf(Catalogue $catalogue, Form $form): array
    {
        [$a, $b] = $this->bare($form->pair);
        if ($b === Allele::WILD || $a === Allele::WILD) {
            $effects = $this->one[$a === Allele::WILD ? $b : $a] ?? null;

            return [$effects ?? [], $effects === null ? Sureness::Unknown : Sureness::Known];
        }
        if ($a === $b && ! isset($this->two[$a])) {
            $isRecessive = $catalogue->allele($a)->inheritance === Inheritance::Recessive;

            return [$this->one[$a] ?? [], match (true) {
                ! isset($this->one[$a]) => Sureness::Unknown,
                $isRecessive => Sureness::Known,
                default => Sureness::Inferred,
            }];
        }
        $known = $a === $b ? $this->two[$a] : $this->compounds[self::key([$a, $b])] ?? null;
        if ($known !== null) {
            return [$known, $form->isExtrapolated ? Sureness::Inferred : Sureness::Known];
        }
        $isDescribed = $this->both($a) !== [] && $this->both($b) !== [] && ! $form->isExtrapolated;

        return [self::halfway($this->both($a), $this->both($b)), $isDescribed ? Sureness::Inferred : Sureness::Unknown];
    }

    /**
     * Alleles as they look: one that nobody tells from another stands as that one.
     *
     * @param array{string, string} $pair
     * @return array{string, string}
     */
    private function bare(array $pair): array
    {
        return [$this->sameAs[$pair[0]] ?? $pair[0], $this->sameAs[$pair[1]] ?? $pair[1]];
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
     * What genes change in each other's look.
     *
     * @param list<Form> $forms
     * @return list<array{string, Effects, non-empty-list<Form>}> words, what changes, and the forms that change each other
     */
    public function changesIn(array $forms): array
    {
        $shown = $copies = [];
        foreach ($forms as $form) {
            foreach ($form->shows as $allele) {
                $as = $this->sameAs[$allele] ?? $allele;
                $shown[$as][$form->locus] = $form;
                $copies[$as] = ($copies[$as] ?? 0) + $form->copiesOf($allele);
            }
        }
        $found = [];
        foreach ($this->changesOf(array_keys($copies)) as [$alleles, $effects, $words]) {
            $within = [];
            foreach ($alleles as $allele => $wanted) {
                if (($copies[$allele] ?? 0) < $wanted) {
                    continue 2;
                }
                $within += $shown[$allele];
            }
            if ($within !== []) {
                $found[] = [$words, $effects, array_values($within)];
            }
        }

        return $found;
    }

    /**
     * Changes of which the first allele is among some, in the order of the facts.
     *
     * @param list<string> $alleles
     * @return array<int, array{array<string, int>, Effects, string}>
     */
    private function changesOf(array $alleles): array
    {
        $of = [];
        foreach ($alleles as $allele) {
            $of += $this->changesByFirst[$allele] ?? [];
        }
        ksort($of);

        return $of;
    }
}
