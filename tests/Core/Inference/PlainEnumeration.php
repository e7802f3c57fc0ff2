<?php

declare(strict_types=1);

namespace Tests\Core\Inference;

use Destino\Genome\Allele;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Notation\Target;
use Tests\Support\Shelf;

/** Posteriors by trying every combination of genotypes: slow, short, and nothing shared with the engine but the notation. */
final class PlainEnumeration
{
    /** @var array<string, array<string, float>> P(genotype and everything) by animal */
    public array $weights = [];

    public float $total = 0.0;

    /** @var array<string, Diplotype> */
    private array $at = [];

    /**
     * @param list<array{id: string, sex: Sex, prior: array<string, array{Diplotype, float}>|null, sire: string|null, dam: string|null, saw: Target|null}> $animals parents first
     * @param list<array{sire: string, dam: string, saw: Target, count: int}> $groups
     */
    public function __construct(private readonly LinkageGroup $group, private readonly array $animals, private readonly array $groups)
    {
        $this->enumerate(0, 1.0);
    }

    private function enumerate(int $i, float $weight): void
    {
        if ($weight === 0.0) {
            return;
        }
        if ($i === count($this->animals)) {
            foreach ($this->groups as $eggs) {
                $share = 0.0;
                foreach ($this->young($this->at[$eggs['sire']], $this->at[$eggs['dam']]) as [$state, $p]) {
                    $share += $this->meets($state, $eggs['saw']) ? $p : 0.0;
                }
                $weight *= $share ** $eggs['count'];
            }
            $this->total += $weight;
            foreach ($this->at as $id => $state) {
                $this->weights[$id][$state->key] = ($this->weights[$id][$state->key] ?? 0.0) + $weight;
            }

            return;
        }
        $animal = $this->animals[$i];
        foreach (
            $animal['prior'] ?? $this->young($this->at[(string) $animal['sire']], $this->at[(string) $animal['dam']]) as [$state, $p]
        ) {
            $isSex = ! $this->group->holdsSex() || Sex::ofAlleles($state->pairAt($this->group->indexOf(Sex::LOCUS))) === $animal['sex'];
            if ($isSex && ($animal['saw'] === null || $this->meets($state, $animal['saw']))) {
                $this->at[$animal['id']] = $state;
                $this->enumerate($i + 1, $weight * $p);
            }
        }
        unset($this->at[$animal['id']]);
    }

    /** @return array<string, array{Diplotype, float}> living young of two genotypes */
    private function young(Diplotype $sire, Diplotype $dam): array
    {
        $young = [];
        $alive = 0.0;
        foreach ($this->gametes($sire) as [$left, $p]) {
            foreach ($this->gametes($dam) as [$right, $q]) {
                $state = new Diplotype($left, $right);
                foreach ($this->group->loci as $at => $locus) {
                    if ($locus !== Sex::LOCUS && Shelf::catalogue()->form($locus, ...$state->pairAt($at))->isLethal()) {
                        continue 2;
                    }
                }
                $young[$state->key] = [$state, ($young[$state->key][1] ?? 0.0) + $p * $q];
                $alive += $p * $q;
            }
        }

        return array_map(static fn (array $one): array => [$one[0], $one[1] / $alive], $young);
    }

    /** @return list<array{list<string>, float}> one strand or the other, changing between two loci with r */
    private function gametes(Diplotype $parent): array
    {
        [$a, $b] = $parent->haplotypes;
        if (count($a) === 1) {
            return [[$a, .5], [$b, .5]];
        }
        $r = $this->group->recombination[0]->toFloat();

        return [[[$a[0], $a[1]], (1 - $r) / 2], [[$b[0], $b[1]], (1 - $r) / 2], [[$a[0], $b[1]], $r / 2], [[$b[0], $a[1]], $r / 2]];
    }

    private function meets(Diplotype $state, Target $target): bool
    {
        foreach ($this->group->loci as $i => $locus) {
            $pair = $state->pairAt($i);
            if (
                $locus === Sex::LOCUS
                    ? ! $target->acceptsSex(Sex::ofAlleles($pair))
                    : ! $target->accepts(Shelf::catalogue()->form($locus, ...$pair))
            ) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, array{Diplotype, float}> the wild type of a sex for certain */
    public static function wild(LinkageGroup $group, Sex $sex): array
    {
        $state = $group->wildType($sex);

        return [$state->key => [$state, 1.0]];
    }

    public static function isMutant(Diplotype $state): bool
    {
        return array_diff(array_merge(...$state->haplotypes), [Allele::WILD, Sex::X, Sex::Y]) !== [];
    }
}
