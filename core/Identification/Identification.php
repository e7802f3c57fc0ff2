<?php

declare(strict_types=1);

namespace Destino\Identification;

use Closure;
use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** What the young of a clutch are, from the parents and from what was seen of each: the odds of genes and genotypes, what to look at next. */
final class Identification
{
    /** Up to so many numbers are worked with exactly as well. */
    private const EXACT_SIZE = 4_000;

    /** Digits of a fraction that is still shown. */
    private const DIGITS = 18;

    private readonly Parentage $parentage;

    private readonly Sight $sight;

    /** @var Posterior<float> */
    private readonly Posterior $posterior;

    /** @var Posterior<Rational>|null */
    private readonly ?Posterior $exact;

    /** @var list<string> hatchlings that these parents cannot have */
    public readonly array $impossible;

    /** @param array<string, Cue> $cues by key */
    public function __construct(private readonly Catalogue $catalogue, public readonly Clutch $clutch, private readonly array $cues)
    {
        [$this->parentage, $this->sight, $this->posterior, $this->impossible] = $this->possible();
        $recorded = array_sum(array_map(static fn (Hatchling $one): int => count($one->cues), $this->parentage->clutch->hatchlings));
        $this->exact = $recorded <= 12 && Posterior::size($this->parentage, $this->sight->ties()) <= self::EXACT_SIZE
            ? new Posterior($this->parentage, $this->sight, new Fractions)
            : null;
    }

    /** @return array{Parentage, Sight, Posterior<float>, list<string>} without those that cannot be, named */
    private function possible(): array
    {
        $parentage = new Parentage($this->catalogue, $this->clutch);
        $sight = new Sight($parentage, $this->cues);
        $impossible = array_map(
            static fn (Hatchling $one): string => $one->id,
            array_values(array_filter($this->clutch->hatchlings, static fn (Hatchling $one): bool => ! $sight->isPossible($one))),
        );
        if ($impossible === [] && $sight->canCount()) {
            $posterior = new Posterior($parentage, $sight, new Floats);
            if ($posterior->isPossible) {
                return [$parentage, $sight, $posterior, []];
            }
        }
        $ids = array_map(static fn (Hatchling $one): string => $one->id, $this->clutch->hatchlings);
        if (! $sight->canCount() || ! $this->posteriorOf($this->clutch->without($ids))[2]->isPossible) {
            throw IdentificationError::impossibleCount(
                implode(', ', array_map(static fn (array $count): string => $count['saw']->text, $this->clutch->counts)),
            );
        }
        $kept = [];
        foreach ($this->clutch->hatchlings as $one) { // one after the other: those that fit the ones before
            $rest = array_values(
                array_diff(array_map(static fn (Hatchling $other): string => $other->id, $this->clutch->hatchlings), [...$kept, $one->id]),
            );
            $isOut = in_array($one->id, $impossible, true) || ! $this->posteriorOf($this->clutch->without($rest))[2]->isPossible;
            $isOut ? $impossible[] = $one->id : $kept[] = $one->id;
        }
        $impossible = array_values(array_unique($impossible));

        return [...$this->posteriorOf($this->clutch->without($impossible)), $impossible];
    }

    /** @return array{Parentage, Sight, Posterior<float>} */
    private function posteriorOf(Clutch $clutch): array
    {
        $parentage = new Parentage($this->catalogue, $clutch);
        $sight = new Sight($parentage, $this->cues);

        return [$parentage, $sight, new Posterior($parentage, $sight, new Floats)];
    }

    /** @return list<array{id: string, exact: Rational|null, decimal: float}> */
    public function sires(): array
    {
        return array_map(fn (array $sire, int $s): array => [
            'id' => $sire['id'], 'exact' => $this->short($this->exact?->sires[$s] ?? null), 'decimal' => $this->posterior->sires[$s] ?? 0.0,
        ], $this->parentage->clutch->sires, array_keys($this->parentage->clutch->sires));
    }

    /**
     * P(at least one copy), for every allele that a young may have, in catalogue order.
     *
     * @return list<array{allele: Allele, exact: Rational|null, decimal: float}>
     */
    public function genes(string $id): array
    {
        $genes = [];
        foreach ($this->catalogue->alleles as $allele) {
            $has = self::carrier($allele->key);
            if ($has($this->sight->fixed())) {
                $genes[] = ['allele' => $allele, 'exact' => Rational::one(), 'decimal' => 1.0];
            } elseif (($chance = $this->chance($this->posterior, new Floats, $id, $allele->locus, $has)) > 0.0) {
                $exact = $this->exact === null ? null : $this->chance($this->exact, new Fractions, $id, $allele->locus, $has);
                $genes[] = ['allele' => $allele, 'exact' => $this->short($exact), 'decimal' => $chance];
            }
        }

        return $genes;
    }

    /**
     * @template T
     *
     * @param Posterior<T> $posterior
     * @param Arithmetic<T> $numbers
     * @param callable(array<string, Form>): bool $has
     * @return T
     */
    private function chance(Posterior $posterior, Arithmetic $numbers, string $id, string $locus, callable $has): mixed
    {
        $group = $this->catalogue->groupOf($locus)->key;
        $sum = $numbers->zero();
        foreach ($posterior->strands as $k => $strand) {
            if (! in_array($group, $strand->groups, true)) {
                continue;
            }
            $holds = $strand->each([$group], $has);
            foreach ($posterior->sires as $s => $sire) {
                foreach ($posterior->young[$id][$s][$k] as $number => $p) {
                    $sum = $holds[$number] ? $numbers->plus($sum, $numbers->times($sire, $p)) : $sum;
                }
            }
        }

        return $sum;
    }

    /** What can be said of a young, as sure only what is sure. */
    public function label(string $id): string
    {
        $printer = new Printer($this->catalogue);
        $words = [];
        foreach ($this->catalogue->loci as $locus => $_) {
            if ($locus === Sex::LOCUS) {
                continue;
            }
            $pairs = $this->pairs($id, $locus);
            if ($pairs !== []) {
                $words[] = $printer->locus($locus, Distribution::ofWeighted($pairs));
            }
        }

        return Printer::text($words);
    }

    /** @return list<array{string, array{string, string}, Rational}> chances of the pairs of alleles at a locus; none where it is wild */
    private function pairs(string $id, string $locus): array
    {
        $fixed = $this->sight->fixed()[$locus] ?? null;
        if ($fixed !== null) {
            return $fixed->isWild() ? [] : [[implode('/', $fixed->pair), $fixed->pair, Rational::one()]];
        }
        $group = $this->catalogue->groupOf($locus)->key;
        $chances = $forms = [];
        foreach ($this->posterior->strands as $k => $strand) {
            if (in_array($group, $strand->groups, true)) {
                $of = $strand->each([$group], static fn (array $all): ?Form => $all[$locus] ?? null);
                foreach ($this->posterior->sires as $s => $sire) {
                    foreach ($this->posterior->young[$id][$s][$k] as $number => $p) {
                        $form = $of[$number];
                        if ($form !== null && $p > 0.0) {
                            $key = implode('/', $form->pair);
                            $forms[$key] = $form->pair;
                            $chances[$key] = ($chances[$key] ?? 0.0) + $sire * $p;
                        }
                    }
                }
            }
        }

        return self::rounded($chances, $forms);
    }

    /**
     * Chances as fractions of a million that add up to 1; none that is above 0 becomes 0 or 1.
     *
     * @param array<string, float> $chances
     * @param array<string, array{string, string}> $forms
     * @return list<array{string, array{string, string}, Rational}>
     */
    private static function rounded(array $chances, array $forms): array
    {
        $whole = array_map(
            static fn (float $chance): int => max(1, (int) round(1e6 * $chance)),
            array_filter($chances, static fn (float $chance): bool => $chance > 1e-12),
        );
        $sum = max(1, array_sum($whole));
        $pairs = [];
        foreach ($whole as $key => $count) {
            $pairs[] = [$key, $forms[$key], Rational::of($count, $sum)];
        }

        return $pairs;
    }

    /**
     * Genotypes of a young, the likeliest first: so many, and how many there are.
     *
     * @return array{
     *     list<array{label: string, alleles: array<string, array{string, string}>, sex: Sex|null, exact: Rational|null, decimal: float}>,
     *     int,
     * }
     */
    public function genotypes(string $id, int $most): array
    {
        return (new Genotypes($this->catalogue, $this->sight->fixed(), $this->posterior, $this->exact))->of($id, $most);
    }

    /** @return array{next: list<array{cue: Cue, bits: float, separates: string}>, later: list<Cue>} cues that were not looked at yet */
    public function cues(string $id): array
    {
        $one = array_values(
            array_filter($this->parentage->clutch->hatchlings, static fn (Hatchling $young): bool => $young->id === $id),
        )[0] ?? null;
        $next = $later = [];
        $questions = new NextCue($this->sight, $this->posterior);
        foreach ($this->cues as $key => $cue) {
            if ($one === null || isset($one->cues[$key]) || ($cue->repeats !== null && isset($one->cues[$cue->repeats]))) {
                continue;
            }
            [$bits, $separates] = $questions->bits($one, $cue);
            if ($one->days !== null && $one->days < $cue->fromDays) {
                $later[] = $cue;
            } else {
                $next[] = ['cue' => $cue, 'bits' => $bits, 'separates' => $separates];
            }
        }
        usort($next, static fn (array $a, array $b): int => [$b['bits'], $a['cue']->key] <=> [$a['bits'], $b['cue']->key]);

        return ['next' => $next, 'later' => $later];
    }

    /** @return Closure(array<string, Form>): bool whether somebody of these forms has a copy */
    private static function carrier(string $allele): Closure
    {
        return static function (array $forms) use ($allele): bool {
            /** @var array<string, Form> $forms */
            foreach ($forms as $form) {
                if ($form->copiesOf($allele) > 0) {
                    return true;
                }
            }

            return false;
        };
    }

    private function short(?Rational $number): ?Rational
    {
        return $number !== null && strlen($number->toString()) <= 2 * self::DIGITS + 1
            && strlen((string) $number->denominator()) <= self::DIGITS ? $number : null;
    }
}
