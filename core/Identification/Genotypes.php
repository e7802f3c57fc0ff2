<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Catalogue;
use Destino\Genome\Form;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\Rational;

/** The genotypes of a young over all strands together, the likeliest first. */
final readonly class Genotypes
{
    /** Beyond so many, those of little chance are not multiplied out. */
    private const MOST = 20_000;

    /**
     * @param array<string, Form> $fixed by locus
     * @param Posterior<float> $posterior
     * @param Posterior<Rational>|null $exact
     */
    public function __construct(
        private Catalogue $catalogue, private array $fixed, private Posterior $posterior, private ?Posterior $exact,
    ) {}

    /** @return array{list<array{label: string, alleles: array<string, array{string, string}>, sex: Sex|null, exact: Rational|null, decimal: float}>, int} */
    public function of(string $id, int $most): array
    {
        $all = $this->together($this->posterior, new Floats, $id);
        $exact = $this->exact === null ? null : $this->together($this->exact, new Fractions, $id);
        arsort($all);
        $shown = [];
        foreach (array_slice($all, 0, $most, true) as $key => $p) {
            $shown[] = $this->shown($key, $p, $exact[$key] ?? null);
        }

        return [$shown, $this->total($id)];
    }

    /**
     * How many genotypes a young may have: those of any possible sire, each once (inclusion and exclusion over the sires). What one
     * strand has from one sire and another strand from another is no genotype.
     */
    private function total(string $id): int
    {
        $sires = array_keys(array_filter($this->posterior->sires, static fn (float $p): bool => $p > 0.0));
        $possible = [];
        foreach ($sires as $i => $sire) {
            foreach (array_keys($this->posterior->strands) as $k) {
                $possible[$i][$k] = array_filter($this->posterior->young[$id][$sire][$k], static fn (float $p): bool => $p > 0.0);
            }
        }
        $total = 0;
        for ($set = 1; $set < 1 << count($sires); $set++) {
            $members = array_values(array_filter(array_keys($sires), static fn (int $i): bool => ($set >> $i & 1) === 1));
            $both = array_map(
                static fn (int $k): int => count(array_intersect_key(...array_map(static fn (int $i): array => $possible[$i][$k], $members))),
                array_keys($this->posterior->strands),
            );
            $total += (count($members) % 2 === 1 ? 1 : -1) * (int) array_product($both);
        }

        return $total;
    }

    /**
     * @template T
     *
     * @param Posterior<T> $posterior
     * @param Arithmetic<T> $numbers
     * @return array<string, T> by numbers of the strands
     */
    private function together(Posterior $posterior, Arithmetic $numbers, string $id): array
    {
        $all = [];
        foreach ($posterior->sires as $s => $sire) {
            $products = ['' => $sire];
            foreach (array_keys($posterior->strands) as $k) {
                $longer = [];
                foreach ($products as $key => $p) {
                    foreach ($posterior->young[$id][$s][$k] as $number => $chance) {
                        if (! $numbers->isZero($chance)) {
                            $longer["{$key} {$number}"] = $numbers->times($p, $chance);
                        }
                    }
                }
                if (count($longer) > self::MOST && $numbers instanceof Floats) {
                    arsort($longer);
                    $longer = array_slice($longer, 0, self::MOST, true);
                }
                $products = $longer;
            }
            foreach ($products as $key => $p) {
                $all[$key] = isset($all[$key]) ? $numbers->plus($all[$key], $p) : $p;
            }
        }

        return $all;
    }

    /** @return array{label: string, alleles: array<string, array{string, string}>, sex: Sex|null, exact: Rational|null, decimal: float} */
    private function shown(string $key, float $decimal, ?Rational $exact): array
    {
        $forms = $this->fixed;
        $sex = null;
        foreach (array_filter(explode(' ', $key), static fn (string $part): bool => $part !== '') as $k => $number) {
            $strand = $this->posterior->strands[$k - 1];
            $forms += $strand->forms((int) $number);
            $sex ??= $strand->each($strand->sexGroups(), static fn (array $own, ?Sex $found): ?Sex => $found)[(int) $number] ?? null;
        }
        $printer = new Printer($this->catalogue);
        $words = $alleles = [];
        foreach ($this->catalogue->loci as $locus => $_) {
            if (isset($forms[$locus]) && ! $forms[$locus]->isWild()) {
                $alleles[$locus] = $forms[$locus]->pair;
                $words[] = $printer->locus($locus, Distribution::certain(implode('/', $forms[$locus]->pair), $forms[$locus]->pair));
            }
        }

        return ['label' => Printer::text($words), 'alleles' => $alleles, 'sex' => $sex, 'exact' => $exact, 'decimal' => $decimal];
    }
}
