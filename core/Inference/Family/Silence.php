<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\ChainMeans;
use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Draw;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Probability\Rational;
use Random\Randomizer;

/**
 * Animals of which nothing is recorded that would tell of others, and whose young tell nothing either: what is believed of
 * them follows from their parents and adds nothing. Where a family is too wide for one graph, they follow from draws of
 * all others together: each draw gives P(genotype | parents), and these are averaged.
 */
final class Silence
{
    /** @var array<string, array<int, array<int, float>>> sums of P by member at a space, part and place of the genotype */
    private array $sums = [];

    /** @var array<int, int> */
    private array $counts = [];

    /** @param list<string> $silent as "space member", parents before their young */
    private function __construct(private readonly FamilyModel $model, private readonly Network $core, public readonly array $silent) {}

    /** @param list<string> $silent as "space member", parents before their young */
    public static function over(FamilyModel $model, Network $core, array $silent): self
    {
        return new self($model, $core, $silent);
    }

    /**
     * Exact answers for those whose parents stand in one table of the others, or one of whose parents is certain.
     *
     * @param Elimination<float> $elimination of the others, after run()
     * @return array<string, array<int, Rational>> P by "space member" and number of the genotype
     */
    public function beside(Elimination $elimination): array
    {
        $found = [];
        $all = array_fill_keys($this->silent, true);
        foreach ($this->silent as $name) {
            [$space, $id] = explode(' ', $name, 2);
            $member = $this->model->hypothesis->family->members[$id];
            if (
                count($this->model->siresOf($member)) > 1
                || isset($all["{$space} {$this->model->siresOf($member)[0]}"])
                || isset($all["{$space} {$member->dam}"])
            ) {
                continue;
            }
            $joint = $this->jointOf($elimination, (int) $space, $this->model->siresOf($member)[0], (string) $member->dam);
            if ($joint !== []) {
                $found[$name] = $this->fromJoint($member, (int) $space, $joint);
            }
        }

        return $found;
    }

    /**
     * @param Elimination<float> $elimination
     * @return list<Rational> P(places of both genotypes), the dam's running fastest; empty where no table holds both
     */
    private function jointOf(Elimination $elimination, int $i, string $sire, string $dam): array
    {
        [$one, $other] = [$this->core->variableOf($i, $sire), $this->core->variableOf($i, $dam)];

        return match (true) {
            $one === null && $other === null => [Rational::one()],
            $one === null => $elimination->marginalOf($other),
            $other === null => $elimination->marginalOf($one),
            default => $elimination->jointOf($one, $other),
        };
    }

    /**
     * @param list<Rational> $joint
     * @return array<int, Rational>
     */
    private function fromJoint(Member $member, int $i, array $joint): array
    {
        $sums = array_fill_keys(array_keys($this->model->domains[$i][$member->id]), 0.0);
        $at = 0;
        foreach (array_keys($this->model->domains[$i][$this->model->siresOf($member)[0]]) as $sire) {
            foreach (array_keys($this->model->domains[$i][(string) $member->dam]) as $dam) {
                $weight = $joint[$at++]->toFloat();
                foreach (
                    $weight > 0.0 ? array_intersect_key($this->model->young($member, $i, $sire, $dam), $sums) : [] as $number => $chance
                ) {
                    $sums[$number] += $weight * $chance->toFloat();
                }
            }
        }
        $shares = (new Doubles)->shares(array_filter(array_values($sums), static fn (float $sum): bool => $sum > 0.0), count($sums)) ?? [];

        return array_combine(array_keys($sums), $shares);
    }

    /**
     * Takes one draw of all others into account.
     *
     * @param array<int, int> $values by variable of the core
     */
    public function add(array $values, int $part, Randomizer $chance): void
    {
        $this->counts[$part] = ($this->counts[$part] ?? 0) + 1;
        $drawn = [];
        foreach ($this->silent as $name) {
            [$space, $id] = explode(' ', $name, 2);
            $i = (int) $space;
            $member = $this->model->hypothesis->family->members[$id];
            $shares = $this->given($member, $i, $values, $drawn);
            foreach ($shares as $place => $share) {
                $this->sums[$name][$part][$place] = ($this->sums[$name][$part][$place] ?? 0.0) + $share;
            }
            $drawn[$name] = array_keys($this->model->domains[$i][$id])[Draw::from($shares, $chance)];
        }
    }

    /**
     * @param array<int, int> $values
     * @param array<string, int> $drawn genotypes of silent members that were drawn
     * @return list<float> P(genotype | parents in this draw), by its place
     */
    private function given(Member $member, int $i, array $values, array $drawn): array
    {
        $dam = $this->genotype((string) $member->dam, $i, $values, $drawn);
        $shares = array_fill(0, count($this->model->domains[$i][$member->id]), 0.0);
        $sires = $this->core->sireIn($member, $values);
        foreach ($sires as $place => $weight) {
            $young = $this->model->young($member, $i, $this->genotype($member->sires[$place], $i, $values, $drawn), $dam);
            foreach (array_keys($this->model->domains[$i][$member->id]) as $at => $number) {
                $shares[$at] += isset($young[$number]) ? $weight * $young[$number]->toFloat() : 0.0;
            }
        }
        $sum = array_sum($shares);

        return array_values(array_map(static fn (float $share): float => $share / $sum, $shares));
    }

    /**
     * @param array<int, int> $values
     * @param array<string, int> $drawn
     */
    private function genotype(string $id, int $i, array $values, array $drawn): int
    {
        if (isset($drawn["{$i} {$id}"])) {
            return $drawn["{$i} {$id}"];
        }
        $variable = $this->core->variableOf($i, $id);

        return array_keys($this->model->domains[$i][$id])[$variable === null ? 0 : $values[$variable]];
    }

    /** @return array<string, array<int, Rational>> P by "space member" and number of the genotype */
    public function shares(): array
    {
        $shares = [];
        foreach ($this->sums as $name => $parts) {
            [$space, $id] = explode(' ', $name, 2);
            $sums = [];
            foreach ($parts as $part) {
                foreach ($part as $place => $sum) {
                    $sums[$place] = ($sums[$place] ?? 0.0) + $sum;
                }
            }
            $shares[$name] = array_combine(
                array_keys($this->model->domains[(int) $space][$id]),
                (new Doubles)->shares(array_filter($sums, static fn (float $sum): bool => $sum > 0.0), count($sums)) ?? [],
            );
        }

        return $shares;
    }

    /** What the largest error stays below in 95 of 100 trials. */
    public function error(): float
    {
        $error = 0.0;
        foreach ($this->sums as $parts) {
            foreach (array_keys($parts[array_key_first($parts)] ?? []) as $place) {
                $means = [];
                foreach ($parts as $part => $sums) {
                    $means[] = $sums[$place] / $this->counts[$part];
                }
                $count = count($means);
                $mean = array_sum($means) / $count;
                $spread = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $means));
                $error = max($error, sqrt($spread / max(1, $count * ($count - 1))));
            }
        }

        return min(1.0, ChainMeans::FACTOR * $error);
    }
}
