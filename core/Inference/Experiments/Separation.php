<?php

declare(strict_types=1);

namespace Destino\Inference\Experiments;

/**
 * How well the looks of eggs tell some answers apart: exact sums over all that a number of eggs can show. Every case is a
 * way in which things may be (parents of certain genotypes); the eggs of one clutch are independent in each case, and only
 * in each case.
 */
final readonly class Separation
{
    /** @var list<array{string, float, list<float>}> answer, weight, P(each kind of look) of each case */
    private array $cases;

    private int $kinds;

    /** @param list<array{string, float, array<string, float>}> $cases answer, weight (summing to 1), P(look of an egg) by look */
    public function __construct(array $cases)
    {
        $looks = array_keys(array_merge(...array_map(static fn (array $case): array => $case[2], $cases)));
        // Looks that weigh alike in every case are one kind: they tell the same.
        $kinds = [];
        foreach ($looks as $look) {
            $column = array_map(static fn (array $case): float => $case[2][$look] ?? 0.0, $cases);
            $sum = array_sum($column);
            if ($sum > 0.0) {
                $key = implode(' ', array_map(static fn (float $p): string => number_format($p / $sum, 9), $column));
                $kinds[$key] = array_map(
                    static fn (float $p, float $q): float => $p + $q, $column, $kinds[$key] ?? array_fill(0, count($cases), 0.0),
                );
            }
        }
        $kinds = array_values($kinds);
        $this->kinds = count($kinds);
        $this->cases = array_map(
            static fn (array $case, int $i): array => [
                $case[0], $case[1], array_map(static fn (array $column): float => $column[$i], $kinds),
            ],
            $cases, array_keys($cases),
        );
    }

    /** P(after so many eggs one answer stands at this level or above). */
    public function toldApart(int $eggs, float $level): float
    {
        $told = 0.0;
        foreach ($this->outcomes($eggs) as [$chance, $byAnswer]) {
            $told += $chance > 0.0 && max([0.0, ...$byAnswer]) >= $level * $chance - 1e-12 ? $chance : 0.0;
        }

        return $told;
    }

    /** The fewest eggs after which, with 19 in 20, one answer stands at this level; null where none up to the limit do. */
    public function eggsFor(float $level, int $most = 60): ?int
    {
        if ($this->kinds < 2) {
            return null;
        }
        for ($eggs = 1; $eggs <= ($this->kinds > 3 ? min($most, 20) : $most); $eggs++) {
            if ($this->toldApart($eggs, $level) >= .95) {
                return $eggs;
            }
        }

        return null;
    }

    /** Bits of information that so many eggs are expected to give about the answer. */
    public function information(int $eggs): float
    {
        $priors = [];
        foreach ($this->cases as [$answer, $weight]) {
            $priors[$answer] = ($priors[$answer] ?? 0.0) + $weight;
        }
        $left = 0.0;
        foreach ($this->outcomes($eggs) as [$chance, $byAnswer]) {
            $left += $chance > 0.0 ? $chance * self::entropy(array_map(static fn (float $p): float => $p / $chance, $byAnswer)) : 0.0;
        }

        return max(0.0, self::entropy($priors) - $left);
    }

    /** @return list<array{float, array<string, float>}> P(outcome), and P(outcome and answer) by answer */
    private function outcomes(int $eggs): array
    {
        $outcomes = [];
        foreach (self::counts($eggs, $this->kinds) as [$counts, $ways]) {
            $byAnswer = [];
            $chance = 0.0;
            foreach ($this->cases as [$answer, $weight, $odds]) {
                $p = $weight * $ways;
                foreach ($counts as $kind => $count) {
                    $p *= $count === 0 ? 1.0 : $odds[$kind] ** $count;
                }
                $byAnswer[$answer] = ($byAnswer[$answer] ?? 0.0) + $p;
                $chance += $p;
            }
            $outcomes[] = [$chance, $byAnswer];
        }

        return $outcomes;
    }

    /** @return list<array{list<int>, float}> every way to share eggs among kinds, with its multinomial coefficient */
    private static function counts(int $eggs, int $kinds): array
    {
        if ($kinds <= 1) {
            return [[$kinds === 0 ? [] : [$eggs], 1.0]];
        }
        $all = [];
        $ways = 1.0;
        for ($first = 0; $first <= $eggs; $first++) {
            foreach (self::counts($eggs - $first, $kinds - 1) as [$rest, $more]) {
                $all[] = [[$first, ...$rest], $ways * $more];
            }
            $ways = $ways * ($eggs - $first) / ($first + 1);
        }

        return $all;
    }

    /** @param array<string, float> $shares */
    private static function entropy(array $shares): float
    {
        return array_sum(array_map(static fn (float $p): float => $p > 0.0 ? -$p * log($p, 2) : 0.0, $shares));
    }
}
