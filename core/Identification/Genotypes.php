<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Notation\Printer;
use Destino\Probability\Distribution;
use Destino\Probability\Number;
use Destino\Probability\Rational;

/** The genotypes of a young over all parts together, the likeliest first. */
final readonly class Genotypes
{
    /** Beyond so many, those of little chance are not multiplied out. */
    private const MOST = 20_000;

    public function __construct(private Catalogue $catalogue, private Young $young) {}

    /**
     * @return array{list<array{label: string, alleles: array<string, array{string, string}>, sex: Sex|null, exact: Rational|null,
     *     decimal: float}>, int}
     */
    public function of(int $most): array
    {
        $all = $this->together();
        uasort($all, static fn (Rational|float $a, Rational|float $b): int => Number::float($b) <=> Number::float($a));
        $shown = [];
        foreach (array_slice($all, 0, $most, true) as $key => $p) {
            $shown[] = $this->shown($key, $p);
        }

        return [$shown, $this->total()];
    }

    /**
     * How many genotypes a young may have: those of any possible sire, each once (inclusion and exclusion over the sires). What one
     * part has from one sire and another part from another is no genotype.
     */
    private function total(): int
    {
        $isPossible = static fn (Rational|float $p): bool => ! Number::isZero($p);
        $sires = array_keys(array_filter($this->young->sires, $isPossible));
        $possible = array_map(fn (int $s): array => array_map(
            static fn (array $part): array => array_filter($part['chances'][$s], $isPossible), $this->young->parts,
        ), $sires);
        $total = 0;
        for ($set = 1; $set < 1 << count($sires); $set++) {
            $members = array_values(array_filter(array_keys($sires), static fn (int $i): bool => ($set >> $i & 1) === 1));
            $both = array_map(
                static fn (int $k): int =>
                    count(array_intersect_key(...array_map(static fn (int $i): array => $possible[$i][$k], $members))),
                array_keys($this->young->parts),
            );
            $total += (count($members) % 2 === 1 ? 1 : -1) * (int) array_product($both);
        }

        return $total;
    }

    /** @return array<string, Rational|float> by entries of the parts */
    private function together(): array
    {
        $all = [];
        foreach ($this->young->sires as $s => $sire) {
            $products = Number::isZero($sire) ? [] : ['' => $sire];
            foreach ($this->young->parts as $part) {
                $longer = [];
                foreach ($products as $key => $p) {
                    foreach ($part['chances'][$s] as $entry => $chance) {
                        if (! Number::isZero($chance)) {
                            $longer["{$key} {$entry}"] = Number::times($p, $chance);
                        }
                    }
                }
                if (count($longer) > self::MOST) {
                    uasort($longer, static fn (Rational|float $a, Rational|float $b): int => Number::float($b) <=> Number::float($a));
                    $longer = array_slice($longer, 0, self::MOST, true);
                }
                $products = $longer;
            }
            foreach ($products as $key => $p) {
                $all[$key] = isset($all[$key]) ? Number::plus($all[$key], $p) : $p;
            }
        }

        return $all;
    }

    /** @return array{label: string, alleles: array<string, array{string, string}>, sex: Sex|null, exact: Rational|null, decimal: float} */
    private function shown(string $key, Rational|float $p): array
    {
        $forms = $this->young->fixed;
        $sex = null;
        foreach (array_filter(explode(' ', $key), static fn (string $part): bool => $part !== '') as $k => $entry) {
            $part = $this->young->parts[$k - 1];
            $forms += $part['forms'][(int) $entry];
            $sex ??= $part['sexes'][(int) $entry];
        }
        $printer = new Printer($this->catalogue);
        $words = $alleles = [];
        foreach ($this->catalogue->loci as $locus => $_) {
            if (isset($forms[$locus]) && ! $forms[$locus]->isWild()) {
                $alleles[$locus] = $forms[$locus]->pair;
                $words[] = $printer->locus($locus, Distribution::certain(implode('/', $forms[$locus]->pair), $forms[$locus]->pair));
            }
        }

        return ['label' => Printer::text($words), 'alleles' => $alleles, 'sex' => $sex] + Number::shown($p);
    }
}
