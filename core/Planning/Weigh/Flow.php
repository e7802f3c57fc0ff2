<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

/**
 * A flow of the greatest worth through a network whose arcs carry at most so much each and are worth so much a unit:
 * successive paths of greatest worth (Bellman and Ford's search, since backward arcs are worth less than nothing), until no
 * path is worth anything. Whole capacities give whole flows.
 */
final class Flow
{
    /** @var list<int> where an arc leads; the arc with the last bit flipped is its way back */
    private array $to = [];

    /** @var array<int, int> what an arc can still carry */
    private array $left = [];

    /** @var list<float> */
    private array $worth = [];

    /** @var array<int, list<int>> arcs by where they begin */
    private array $from = [];

    /** @return int number of the arc, to ask for what it carries */
    public function arc(int $from, int $to, int $most, float $worth = 0.0): int
    {
        $arc = count($this->to);
        foreach ([[$from, $to, $most, $worth], [$to, $from, 0, -$worth]] as [$begin, $end, $capacity, $value]) {
            $this->from[$begin][] = count($this->to);
            $this->to[] = $end;
            $this->left[] = $capacity;
            $this->worth[] = $value;
        }

        return $arc;
    }

    /** @return float what the flow from one place to another is worth */
    public function run(int $source, int $sink): float
    {
        $total = 0.0;
        while (($path = $this->best($source, $sink)) !== null) {
            [$arcs, $worth] = $path;
            $units = min(array_map(fn (int $arc): int => $this->left[$arc], $arcs));
            foreach ($arcs as $arc) {
                $this->left[$arc] -= $units;
                $this->left[$arc ^ 1] += $units;
            }
            $total += $units * $worth;
        }

        return $total;
    }

    /** What an arc carries. */
    public function carried(int $arc): int
    {
        return $this->left[$arc ^ 1];
    }

    /** @return array{non-empty-list<int>, float}|null the path that is worth most; null where none is worth anything */
    private function best(int $source, int $sink): ?array
    {
        $worth = [$source => 0.0];
        $by = [];
        $queue = [$source];
        $isQueued = [$source => true];
        while ($queue !== []) {
            $at = array_shift($queue);
            unset($isQueued[$at]);
            foreach ($this->from[$at] ?? [] as $arc) {
                $next = $this->to[$arc];
                if ($this->left[$arc] > 0 && $worth[$at] + $this->worth[$arc] > ($worth[$next] ?? -INF) + 1e-12) {
                    $worth[$next] = $worth[$at] + $this->worth[$arc];
                    $by[$next] = $arc;
                    if (! isset($isQueued[$next])) {
                        $queue[] = $next;
                        $isQueued[$next] = true;
                    }
                }
            }
        }
        if (($worth[$sink] ?? 0.0) <= 1e-12) {
            return null;
        }
        $arcs = [];
        for ($place = $sink; $place !== $source; $place = $this->to[$by[$place] ^ 1]) {
            array_unshift($arcs, $by[$place]);
        }

        return $arcs === [] ? null : [$arcs, $worth[$sink]];
    }
}
