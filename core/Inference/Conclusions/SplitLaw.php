<?php

declare(strict_types=1);

namespace Destino\Inference\Conclusions;

/** P(so many young of each kind of look), over the genotypes that the parents may have. */
final readonly class SplitLaw
{
    /**
     * @param list<array{int, int, float}> $cases genotypes of both parents with their P
     * @param list<list<float>> $kinds P(look) by kind of look and case
     */
    public function __construct(private array $cases, private array $kinds) {}

    /**
     * @param list<int> $counts young of each kind
     */
    public function of(array $counts): float
    {
        $ways = 0.0;
        $left = array_sum($counts);
        foreach ($counts as $count) {
            for ($j = 1; $j <= $count; $j++) {
                $ways += log($left) - log($j);
                $left--;
            }
        }
        $sum = 0.0;
        foreach ($this->cases as $case => [, , $weight]) {
            $log = $ways;
            foreach ($counts as $kind => $count) {
                $log += $count === 0 ? 0.0 : ($this->kinds[$kind][$case] > 0.0 ? $count * log($this->kinds[$kind][$case]) : -INF);
            }
            $sum += $log === -INF ? 0.0 : $weight * exp($log);
        }

        return $sum;
    }

    /** Whether two kinds of look are all that there is. */
    public function isEither(): bool
    {
        if (count($this->kinds) !== 2) {
            return false;
        }
        foreach (array_keys($this->cases) as $case) {
            if (abs($this->kinds[0][$case] + $this->kinds[1][$case] - 1.0) > 1e-9) {
                return false;
            }
        }

        return true;
    }
}
