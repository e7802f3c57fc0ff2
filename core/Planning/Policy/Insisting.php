<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** A keeper who makes one mating of the first season whatever it is worth, and does as well as he can with the rest. */
final readonly class Insisting implements Keeper
{
    public function __construct(private Keeper $keeper, private string $sire, private string $dam, private int $femalesPerMale) {}

    public function mate(Situation $situation): array
    {
        $pairs = $this->keeper->mate($situation);
        if ($situation->season > 1) {
            return $pairs;
        }
        $sire = $dam = null;
        foreach ($situation->animals as $animal) {
            $sire = $animal->id === $this->sire ? $animal : $sire;
            $dam = $animal->id === $this->dam ? $animal : $dam;
        }
        if ($sire === null || $dam === null) {
            return $pairs;
        }
        $rest = array_values(array_filter($pairs, static fn (array $pair): bool => $pair[1]->id !== $dam->id));
        $own = array_keys(array_filter($rest, static fn (array $pair): bool => $pair[0]->id === $sire->id));
        if (count($own) >= $this->femalesPerMale) {
            unset($rest[$own[count($own) - 1]]); // the female that he has least for
        }

        return [...array_values($rest), [$sire, $dam]];
    }

    public function keep(Situation $situation, array $young): array
    {
        return $this->keeper->keep($situation, $young);
    }
}
