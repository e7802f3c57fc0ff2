<?php

declare(strict_types=1);

namespace Destino\Identification;

use Closure;
use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Probability\Rational;

/** The chances of genes and of pairs of alleles of a young, out of the posterior. */
final readonly class GeneChances
{
    /** Digits of a fraction that is still shown. */
    private const DIGITS = 18;

    /** @param Posterior<float> $posterior */
    public function __construct(private Catalogue $catalogue, private Sight $sight, private Posterior $posterior) {}

    /**
     * @template T
     *
     * @param Posterior<T> $posterior
     * @param Arithmetic<T> $numbers
     * @param callable(array<string, Form>): bool $has
     * @return T
     */
    public function chance(Posterior $posterior, Arithmetic $numbers, string $id, string $locus, callable $has): mixed
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

    /** @return list<array{string, array{string, string}, Rational}> chances of the pairs of alleles at a locus; none where it is wild */
    public function pairs(string $id, string $locus): array
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

    /** @return Closure(array<string, Form>): bool whether somebody of these forms has a copy */
    public static function carrier(string $allele): Closure
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

    public static function short(?Rational $number): ?Rational
    {
        return $number !== null && strlen($number->toString()) <= 2 * self::DIGITS + 1
            && strlen((string) $number->denominator()) <= self::DIGITS ? $number : null;
    }
}
