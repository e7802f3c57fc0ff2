<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

/** A silent member at a space: P of its genotypes by those of its parents, worked out once for each pair that is met. */
final class SilentYoung
{
    /** @var array<string, list<float>> P by place of the genotype, by parents */
    private array $shares = [];

    /**
     * @param list<int> $numbers its genotypes
     * @param array<string, array{list<int>, int|null, int|null}> $parents genotypes of each parent, its variable in the graph of
     *     those that tell of others, and its place among the silent ones
     * @param string|null $onlySire the one that it can be, where it can be no other
     */
    private function __construct(
        private readonly FamilyModel $model,
        private readonly Network $core,
        private readonly Member $member,
        private readonly int $space,
        public readonly array $numbers,
        private readonly array $parents,
        private readonly ?string $onlySire,
    ) {}

    /** @param array<string, int> $places of silent members, by "space member" */
    public static function of(FamilyModel $model, Network $core, string $name, array $places): self
    {
        [$space, $id] = explode(' ', $name, 2);
        $i = (int) $space;
        $member = $model->hypothesis->family->members[$id];
        $parents = [];
        foreach ([(string) $member->dam, ...$member->sires] as $parent) {
            $parents[$parent] = [
                array_keys($model->domains[$i][$parent]), $core->variableOf($i, $parent), $places["{$i} {$parent}"] ?? null,
            ];
        }

        $sires = $model->isMixed() ? $member->sires : $model->siresOf($member);

        return new self($model, $core, $member, $i, array_keys($model->domains[$i][$id]), $parents, count($sires) === 1 ? $sires[0] : null);
    }

    /**
     * Meets its parents in a draw.
     *
     * @param array<int, int> $values by variable of the core
     * @param array<int, int> $drawn genotypes of silent members, by their place
     * @return string by which shares() knows these parents
     */
    public function meet(array $values, array $drawn): string
    {
        $dam = $this->genotype((string) $this->member->dam, $values, $drawn);
        if ($this->onlySire !== null) {
            $sire = $this->genotype($this->onlySire, $values, $drawn);
            $key = "of {$dam} by {$sire}";
            $this->shares[$key] ??= $this->from($dam, [[$sire, 1.0]]);

            return $key;
        }
        $sires = [];
        $key = "of {$dam}";
        foreach ($this->core->sireIn($this->member, $values) as $place => $weight) {
            $sire = $this->genotype($this->member->sires[$place], $values, $drawn);
            $sires[] = [$sire, $weight];
            $key .= " by {$sire}: {$weight}";
        }
        $this->shares[$key] ??= $this->from($dam, $sires);

        return $key;
    }

    /** @return list<float> P(genotype | parents that were met), by its place */
    public function shares(string $met): array
    {
        return $this->shares[$met];
    }

    /**
     * @param list<array{int, float}> $sires genotype and weight of each that may be the sire
     * @return list<float>
     */
    private function from(int $dam, array $sires): array
    {
        $shares = array_fill(0, count($this->numbers), 0.0);
        foreach ($sires as [$sire, $weight]) {
            $young = $this->model->young($this->member, $this->space, $sire, $dam);
            foreach ($this->numbers as $at => $number) {
                $shares[$at] += isset($young[$number]) ? $weight * $young[$number]->toFloat() : 0.0;
            }
        }
        $sum = array_sum($shares);

        return array_values(array_map(static fn (float $share): float => $share / $sum, $shares));
    }

    /**
     * @param array<int, int> $values
     * @param array<int, int> $drawn
     */
    private function genotype(string $parent, array $values, array $drawn): int
    {
        [$numbers, $variable, $place] = $this->parents[$parent];

        return $place !== null ? $drawn[$place] : $numbers[$variable === null ? 0 : $values[$variable]];
    }
}
