<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** A keeper who leaves out one mating of the first season, and does as well as he can with the rest. */
final readonly class Otherwise implements Keeper
{
    public function __construct(private Keeper $keeper, private string $sire, private string $dam) {}

    public function mate(Situation $situation): array
    {
        $pairs = $this->keeper->mate($situation->season > 1 ? $situation : $situation->without($this->sire, $this->dam));

        return $situation->season > 1
            ? $pairs // only the first season differs
            : array_values(array_filter($pairs, fn (array $pair): bool => $pair[0]->id !== $this->sire || $pair[1]->id !== $this->dam));
    }

    public function keep(Situation $situation, array $young): array
    {
        return $this->keeper->keep($situation, $young);
    }
}
