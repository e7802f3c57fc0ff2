<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

/**
 * In which order to eliminate the variables of a graph: always the one whose table is smallest next (min-weight), ties by
 * the fewest new edges (min-fill). Finding the best order is hard; this one is near it on pedigrees.
 */
final readonly class Order
{
    /**
     * @param list<int> $variables in order
     * @param list<list<int>> $cliques the variables beside each when its turn comes
     * @param float $size entries of all tables
     * @param float $largest entries of the largest table
     */
    private function __construct(public array $variables, public array $cliques, public float $size, public float $largest) {}

    /**
     * @param array<int, int> $sizes number of values by variable
     * @param list<list<int>> $scopes
     */
    public static function of(array $sizes, array $scopes): self
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
        $logs = array_map(static fn (int $size): float => log($size), $sizes);
        $cost = [];
        foreach ($sizes as $variable => $size) {
            $cost[$variable] = self::cost($variable, $beside, $logs);
        }
        $variables = $cliques = [];
        $total = $largest = 0.0;
        while ($cost !== []) {
            $next = self::least($cost, $beside);
            $neighbours = array_keys($beside[$next]);
            $variables[] = $next;
            $cliques[] = $neighbours;
            $entries = exp($cost[$next]);
            $total += $entries;
            $largest = max($largest, $entries);
            unset($cost[$next], $beside[$next]);
            foreach ($neighbours as $a) {
                unset($beside[$a][$next]);
                foreach ($neighbours as $b) {
                    if ($a !== $b) {
                        $beside[$a][$b] = true;
                    }
                }
            }
            foreach ($neighbours as $a) {
                $cost[$a] = self::cost($a, $beside, $logs);
            }
        }

        return new self($variables, $cliques, $total, $largest);
    }

    /**
     * @param array<int, array<int, true>> $beside
     * @param array<int, float> $logs
     */
    private static function cost(int $variable, array $beside, array $logs): float
    {
        $cost = $logs[$variable];
        foreach ($beside[$variable] as $other => $_) {
            $cost += $logs[$other];
        }

        return $cost;
    }

    /**
     * @param non-empty-array<int, float> $cost
     * @param array<int, array<int, true>> $beside
     */
    private static function least(array $cost, array $beside): int
    {
        $least = min($cost);
        $best = null;
        $fewest = INF;
        foreach ($cost as $variable => $own) {
            if ($own <= $least + 1e-9) {
                $fill = self::fill($variable, $beside);
                if ($fill < $fewest) {
                    [$best, $fewest] = [$variable, $fill];
                    if ($fill === 0) {
                        break;
                    }
                }
            }
        }

        return $best ?? array_key_first($cost);
    }

    /** @param array<int, array<int, true>> $beside */
    private static function fill(int $variable, array $beside): int
    {
        $missing = 0;
        $neighbours = array_keys($beside[$variable]);
        foreach ($neighbours as $i => $a) {
            foreach (array_slice($neighbours, $i + 1) as $b) {
                $missing += isset($beside[$a][$b]) ? 0 : 1;
            }
        }

        return $missing;
    }
}
