<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Closure;
use Destino\Planning\Given\Project;

/** Ways to finish, and the season after which nothing is of use any more: the k-th best so far. */
final class Finishes
{
    /** What is expected somewhat beyond the horizon may still come within it, with luck. */
    private const BEYOND = 1.25;

    /** @var array<string, Node> ways to finish, by the key of the last cross and its young */
    private array $finishes = [];

    /** Nothing that comes later is of use. */
    public float $bound;

    private readonly float $limit;

    /** @var list<float> the earliest finishes */
    private array $earliest = [];

    /** @param (Closure(Node): bool)|null $accepts whether a way to finish is one that is looked for; the others count for nothing */
    public function __construct(
        private readonly Project $project,
        private readonly Welfare $welfare,
        private readonly int $most,
        ?float $limit,
        private readonly ?Closure $accepts,
    ) {
        $this->bound = $this->limit = min($limit ?? INF, self::BEYOND * $project->horizon + 2);
    }

    public function add(Node $node): void
    {
        $key = "{$node->key} {$node->sire?->key} {$node->dam?->key}";
        if (
            $node->born <= $this->limit
            && (! isset($this->finishes[$key]) || $this->finishes[$key]->born > $node->born)
            && $this->isLookedFor($node)
        ) {
            $this->finishes[$key] = $node;
            $this->earliest[] = $node->born;
            sort($this->earliest);
            $this->earliest = array_slice($this->earliest, 0, $this->most);
            if (count($this->earliest) === $this->most) {
                $this->bound = min($this->bound, $this->earliest[$this->most - 1]);
            }
        }
    }

    private function isLookedFor(Node $node): bool
    {
        return array_diff($this->project->pinned, $node->lineage) === []
            && $this->welfare->allows($node)
            && ($this->accepts === null || ($this->accepts)($node));
    }

    /** @return list<Node> the earliest expected first */
    public function all(): array
    {
        $finishes = array_values($this->finishes);
        usort($finishes, static fn (Node $a, Node $b): int => [$a->born, $a->key] <=> [$b->born, $b->key]);

        return $finishes;
    }
}
