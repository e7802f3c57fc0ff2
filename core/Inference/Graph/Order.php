<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * In which order to eliminate the variables of a graph. Finding the best order is hard; weighted min-fill (the variable
 * whose neighbours lack the lightest edges comes next) is near it on pedigrees, and where the first try is wide, others
 * with ties broken by chance are tried within a budget, and the best is kept (restarts after Fishelson and Geiger 2004).
 */
final readonly class Order
{
    /** Full tables below this many entries need no second try. */
    private const NARROW = 20_000.0;

    /** Beyond this no other try would come near enough. */
    public const HOPELESS = 3e8;

    /** Variables that all tries together may eliminate. */
    private const WORK = 12_000;

    /**
     * @param list<int> $variables in order
     * @param list<list<int>> $cliques the variables beside each when its turn comes
     * @param float $size entries of all tables, were they full
     * @param float $largest entries of the largest table, were it full
     */
    private function __construct(public array $variables, public array $cliques, public float $size, public float $largest) {}

    /**
     * @param array<int, int> $sizes number of values by variable
     * @param list<list<int>> $scopes
     * @param float $most entries of all tables, were they full, beyond which no order is wanted: then its size is infinite
     */
    public static function of(array $sizes, array $scopes, int $work = self::WORK, float $most = INF): self
    {
        $beside = self::beside($sizes, $scopes);
        $best = (new Greedy($sizes, $beside, null))->run($most);
        $each = max(1, count($sizes));
        for ($try = 1; $best !== null && $best[3] > self::NARROW && $best[2] < self::HOPELESS && $try * $each <= $work; $try++) {
            $other = (new Greedy($sizes, $beside, new Randomizer(new Mt19937($try)), $try % 2 === 0))->run($best[2]);
            $best = $other !== null && $other[2] < $best[2] ? $other : $best;
        }

        return $best === null ? new self([], [], INF, INF) : new self(...$best);
    }

    /**
     * An order of the variables that are left once so many are set aside that no table grows wider than asked.
     *
     * @param array<int, int> $sizes
     * @param list<list<int>> $scopes
     * @param array<int, int> $spared how often a variable was set aside before
     * @return array{self, list<int>} the order, and the variables that are set aside
     */
    public static function narrow(array $sizes, array $scopes, float $width, Randomizer $chance, array $spared): array
    {
        $greedy = new Greedy($sizes, self::beside($sizes, $scopes), $chance, false, $width, $spared);

        return [new self(...$greedy->run(INF) ?? [[], [], 0.0, 0.0]), $greedy->aside];
    }

    /**
     * @param array<int, int> $sizes
     * @param list<list<int>> $scopes
     * @return array<int, array<int, true>>
     */
    private static function beside(array $sizes, array $scopes): array
    {
        $beside = array_fill_keys(array_keys($sizes), []);
        foreach ($scopes as $scope) {
            foreach ($scope as $a) {
                foreach ($scope as $b) {
                    if ($a !== $b) {
                        $beside[$a][$b] = true;
                    }
                }
            }
        }

        return $beside;
    }
}
