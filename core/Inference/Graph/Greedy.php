<?php

declare(strict_types=1);

namespace Destino\Inference\Graph;

use Random\Randomizer;
use SplPriorityQueue;

/** One greedy order of elimination: always the variable that costs least next, costs brought up to date where an edge came or went. */
final class Greedy
{
    /** @var array<int, float> */
    private array $logs;

    /** @var array<int, int> how often a variable's cost was worked out: older entries of the queue are void */
    private array $round = [];

    /** @var SplPriorityQueue<array{float, float, float}, array{int, int}> */
    private SplPriorityQueue $queue;

    /**
     * @param array<int, int> $sizes
     * @param array<int, array<int, true>> $beside
     * @param Randomizer|null $chance breaks ties; without it the first one comes first
     * @param bool $byWeight the smallest table next instead of the lightest fill
     * @param float $width entries of a table beyond which a variable is set aside instead
     * @param array<int, int> $spared how often a variable was set aside before: others come first
     */
    public function __construct(
        private readonly array $sizes,
        private array $beside,
        private readonly ?Randomizer $chance,
        private readonly bool $byWeight = false,
        private readonly float $width = INF,
        private readonly array $spared = [],
    ) {
        $this->logs = array_map(static fn (int $size): float => log($size), $sizes);
        $this->queue = new SplPriorityQueue;
    }

    /** @var list<int> variables that were set aside, so that no table grows too wide */
    public array $aside = [];

    /**
     * @param float $most entries of all tables beyond which it is given up
     * @return array{list<int>, list<list<int>>, float, float}|null order, cliques, entries of all tables, of the largest
     */
    public function run(float $most): ?array
    {
        foreach (array_keys($this->sizes) as $variable) {
            $this->enter($variable);
        }
        $variables = $cliques = [];
        $total = $largest = 0.0;
        while (! $this->queue->isEmpty()) {
            /** @var array{int, int} $entry */
            $entry = $this->queue->extract();
            [$next, $round] = $entry;
            if ($round !== ($this->round[$next] ?? -1)) {
                continue;
            }
            $neighbours = array_keys($this->beside[$next]);
            $entries = exp($this->weight($next));
            if ($entries > $this->width && $neighbours !== []) {
                $this->setAside($next, $neighbours);

                continue;
            }
            $total += $entries;
            $largest = max($largest, $entries);
            if ($total > $most) {
                return null;
            }
            $variables[] = $next;
            $cliques[] = $neighbours;
            foreach ($this->takeOut($next, $neighbours) as $changed => $_) {
                $this->enter($changed);
            }
        }

        return [$variables, $cliques, $total, $largest];
    }

    /**
     * @param list<int> $neighbours
     * @return array<int, true> variables whose cost may have changed
     */
    private function takeOut(int $variable, array $neighbours): array
    {
        unset($this->round[$variable], $this->beside[$variable]);
        $changed = [];
        foreach ($neighbours as $a) {
            unset($this->beside[$a][$variable]);
            $changed[$a] = true;
        }
        foreach ($neighbours as $i => $a) {
            for ($j = $i + 1; $j < count($neighbours); $j++) {
                $b = $neighbours[$j];
                if (! isset($this->beside[$a][$b])) {
                    $this->beside[$a][$b] = $this->beside[$b][$a] = true;
                    $few = count($this->beside[$a]) < count($this->beside[$b]) ? [$a, $b] : [$b, $a];
                    foreach ($this->beside[$few[0]] as $both => $_) {
                        if (isset($this->beside[$few[1]][$both])) {
                            $changed[$both] = true;
                        }
                    }
                }
            }
        }

        return $changed;
    }

    /**
     * Sets aside the variable of a wide table that stands beside most others, rather one that was not set aside before.
     *
     * @param non-empty-list<int> $neighbours
     */
    private function setAside(int $next, array $neighbours): void
    {
        $best = $next;
        $most = -1.0;
        foreach ([$next, ...$neighbours] as $one) {
            $score = count($this->beside[$one]) * (.5 + ($this->chance === null ? .5 : Draw::unit($this->chance))) *
                .2 ** ($this->spared[$one] ?? 0);
            if ($score > $most) {
                [$best, $most] = [$one, $score];
            }
        }
        $this->aside[] = $best;
        $beside = array_keys($this->beside[$best]);
        unset($this->round[$best], $this->beside[$best]);
        foreach ($beside as $one) {
            unset($this->beside[$one][$best]);
            $this->enter($one);
        }
        if ($best !== $next) {
            $this->enter($next);
        }
    }

    private function enter(int $variable): void
    {
        $this->round[$variable] = ($this->round[$variable] ?? 0) + 1;
        [$fill, $weight] = [$this->byWeight ? 0.0 : $this->fill($variable), $this->weight($variable)];
        $tie = $this->chance === null ? -(float) $variable : Draw::unit($this->chance);
        $this->queue->insert([$variable, $this->round[$variable]], [-$fill, -$weight, $tie]);
    }

    private function weight(int $variable): float
    {
        $weight = $this->logs[$variable];
        foreach ($this->beside[$variable] as $other => $_) {
            $weight += $this->logs[$other];
        }

        return $weight;
    }

    /** Weight of the edges that its neighbours lack. */
    private function fill(int $variable): float
    {
        $fill = 0.0;
        $neighbours = array_keys($this->beside[$variable]);
        foreach ($neighbours as $i => $a) {
            for ($j = $i + 1; $j < count($neighbours); $j++) {
                $fill += isset($this->beside[$a][$neighbours[$j]]) ? 0.0 : $this->logs[$a] * $this->logs[$neighbours[$j]];
            }
        }

        return $fill;
    }
}
