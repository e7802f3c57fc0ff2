<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

/** Ways between nodes of a graph, and which nodes hang together with a circle. */
final class Ways
{
    /** @var array<string, string> parent in the union-find forest, by node */
    private array $above = [];

    /** @var list<string> nodes at which a circle closed */
    private array $closed = [];

    public function add(string $one, string $other): void
    {
        [$a, $b] = [$this->top($one), $this->top($other)];
        if ($a === $b) {
            $this->closed[] = $one;
        }
        $this->above[$a] = $b;
    }

    /** Whether it hangs together with a circle. */
    public function isInCircle(string $node): bool
    {
        foreach ($this->closed as $one) {
            if ($this->top($one) === $this->top($node)) {
                return true;
            }
        }

        return false;
    }

    private function top(string $node): string
    {
        while (($this->above[$node] ?? $node) !== $node) {
            $node = $this->above[$node];
        }

        return $node;
    }
}
