<?php

declare(strict_types=1);

namespace Destino\Genome;

/** Things that are tied to each other, directly or through others, stand together. */
final class Components
{
    /** @var array<string, string> a member of the same component that stands for it, or is on the way there */
    private array $above = [];

    /** @param iterable<string> $members each alone at first */
    public function __construct(iterable $members = [])
    {
        foreach ($members as $member) {
            $this->above[$member] = $member;
        }
    }

    /** @param iterable<string> $members that stand together from now on; new ones come in */
    public function tie(iterable $members): void
    {
        $first = null;
        foreach ($members as $member) {
            $this->above[$member] ??= $member;
            $first ??= $this->top($member);
            $this->above[$this->top($member)] = $first;
        }
    }

    /** @return list<list<string>> in the order in which their first members came, members as they came */
    public function all(): array
    {
        $all = [];
        foreach (array_keys($this->above) as $member) {
            $all[$this->top($member)][] = $member;
        }

        return array_values($all);
    }

    private function top(string $member): string
    {
        while ($this->above[$member] !== $member) {
            $member = $this->above[$member];
        }

        return $member;
    }
}
