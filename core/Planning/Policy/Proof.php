<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Phenotypes\GroupTable;
use Destino\Planning\Phenotypes\Space;

/** What a clutch says of its parents: P(genotype | what hatched) ∝ P(genotype) · Π P(what is seen of a young | genotypes). */
final class Proof
{
    /** @var array<string, array<string, float>> P(what is seen) of the living young, by group and genotypes of the parents */
    private array $odds = [];

    public function __construct(private readonly Space $space) {}

    /**
     * @param list<int> $sire phenotypes of the sire by group
     * @param list<int> $dam
     * @param list<list<string|null>> $seen what is seen of each young by group; null where something hides it
     * @return array{list<int>, list<int>} the same of both, after the clutch
     */
    public function after(array $sire, array $dam, array $seen): array
    {
        foreach ($this->space->groups as $i => $table) {
            if (count($table->book->looks[$sire[$i]]) === 1 && count($table->book->looks[$dam[$i]]) === 1) {
                continue;
            }
            $counts = [];
            foreach ($seen as $young) {
                if ($young[$i] !== null) {
                    $counts[$young[$i]] = ($counts[$young[$i]] ?? 0) + 1;
                }
            }
            if ($counts !== []) {
                [$ofSire, $ofDam] = $this->updated($table, $i, $sire[$i], $dam[$i], $counts);
                $sire = array_replace($sire, [$i => $ofSire]);
                $dam = array_replace($dam, [$i => $ofDam]);
            }
        }

        return [array_values($sire), array_values($dam)];
    }

    /**
     * @param array<string, int> $counts
     * @return array{int, int}
     */
    private function updated(GroupTable $table, int $i, int $sire, int $dam, array $counts): array
    {
        $ofSire = $ofDam = [];
        foreach ($table->book->looks[$sire] as $a => $p) {
            foreach ($table->book->looks[$dam] as $b => $q) {
                $weight = $p->toFloat() * $q->toFloat();
                $odds = $this->odds["{$i} {$a} {$b}"] ??= $table->seenOdds($a, $b);
                foreach ($counts as $what => $count) {
                    $weight *= ($odds[$what] ?? 0.0) ** $count;
                }
                $ofSire[$a] = ($ofSire[$a] ?? 0.0) + $weight;
                $ofDam[$b] = ($ofDam[$b] ?? 0.0) + $weight;
            }
        }

        return array_sum($ofSire) > 0.0 ? [$table->book->blend($ofSire), $table->book->blend($ofDam)] : [$sire, $dam];
    }
}
