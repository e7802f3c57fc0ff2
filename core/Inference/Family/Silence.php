<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Inference\Graph\Doubles;
use Destino\Inference\Graph\Elimination;
use Destino\Inference\Graph\Exact;
use Destino\Probability\Rational;

/**
 * Animals of which nothing is recorded that would tell of others, and whose young tell nothing either: what is believed of
 * them follows from their parents and adds nothing. Where a family is too wide for one graph, they follow from draws of
 * all others together.
 */
final readonly class Silence
{
    /** @param list<string> $silent as "space member", parents before their young */
    private function __construct(private FamilyModel $model, private Network $core, private array $silent) {}

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
}
