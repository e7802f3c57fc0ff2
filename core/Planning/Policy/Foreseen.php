<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** The types that matter from a season on: what is held, and their young over some generations, as far as they can come in time. */
final class Foreseen
{
    /** Types that are added in each generation, by sex. */
    private const BEAM = 6;

    private const GENERATIONS = 4;

    /** @var array<int, int> first season in which an animal of a type can be there */
    public array $earliest = [];

    /** @var list<int> */
    public array $males = [];

    /** @var list<int> */
    public array $females = [];

    /** @param list<array{int, int, float}> $held type, first season in which it breeds, how many */
    public function __construct(private readonly Law $law, int $season, array $held)
    {
        $this->gather($held, $season);
    }

    /** @param list<array{int, int, float}> $held type, first season in which it breeds, how many */
    private function gather(array $held, int $season): void
    {
        $types = $this->law->types;
        $sexes = [[], []];
        foreach ($held as [$type, $from]) {
            if (! isset($this->earliest[$type])) {
                $sexes[$types->isMale($type) ? 0 : 1][] = $type;
            }
            $this->earliest[$type] = min($this->earliest[$type] ?? PHP_INT_MAX, max($from, $season));
        }
        $new = $sexes;
        for ($generation = 0; $generation < self::GENERATIONS; $generation++) {
            $found = [];
            foreach ($sexes[0] as $sire) {
                foreach (in_array($sire, $new[0], true) ? $sexes[1] : $new[1] as $dam) {
                    $mated = max($this->earliest[$sire], $this->earliest[$dam]);
                    if ($mated + $this->law->shortest <= $this->law->horizon) {
                        $this->find($types->pair($sire, $dam), $mated, $found);
                    }
                }
            }
            $new = $this->best($found);
            if ($new === [[], []]) {
                break;
            }
            $sexes = [[...$sexes[0], ...$new[0]], [...$sexes[1], ...$new[1]]];
        }
        [$this->males, $this->females] = $sexes;
    }

    /** @param array<int, array{float, int}> $found chance and first season of new types, added to */
    private function find(Pair $pair, int $mated, array &$found): void
    {
        foreach ($pair->children as $child => $chance) {
            $ready = $mated + ($this->law->types->isMale($child) ? $this->law->maleDelay : $this->law->femaleDelay);
            if (! isset($this->earliest[$child]) && $ready <= $this->law->horizon) {
                $found[$child] = isset($found[$child])
                    ? [max($found[$child][0], $chance), min($found[$child][1], $ready)]
                    : [$chance, $ready];
            }
        }
    }

    /**
     * Those that promise most, and for each gene that is asked for the one that has most of it, so that no way is lost sight of.
     *
     * @param array<int, array{float, int}> $found
     * @return array{list<int>, list<int>} males and females; they are looked at from now on
     */
    private function best(array $found): array
    {
        $types = $this->law->types;
        $scores = [];
        foreach ($found as $type => [$chance]) {
            $scores[$type] = $types->promise($type) ** 3 * sqrt($chance);
        }
        arsort($scores);
        $best = [[], []];
        foreach ([0, 1] as $sex) {
            $own = array_keys(
                array_filter(
                    $scores, static fn (float $score, int $type): bool => $types->isMale($type) === ($sex === 0), ARRAY_FILTER_USE_BOTH,
                ),
            );
            $chosen = array_slice($own, 0, self::BEAM);
            foreach ($own === [] ? [] : $types->askedGroups() as $group) {
                $most = $own[0];
                foreach ($own as $type) {
                    $most = $types->wanted($type, $group) > $types->wanted($most, $group) ? $type : $most;
                }
                $chosen[] = $most;
            }
            $best[$sex] = array_values(array_unique($chosen));
            foreach ($best[$sex] as $type) {
                $this->earliest[$type] = $found[$type][1];
            }
        }

        return $best;
    }
}
