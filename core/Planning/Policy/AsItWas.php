<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** A keeper who makes given matings in the first season, and afterwards does as well as another one. */
final readonly class AsItWas implements Keeper
{
    /** @param list<array{string, string}> $pairs sire and dam (ids); those who are not there are passed over */
    public function __construct(private Keeper $keeper, private array $pairs) {}

    public function mate(Situation $situation): array
    {
        if ($situation->season > 1) {
            return $this->keeper->mate($situation);
        }
        $byId = $made = [];
        foreach ($situation->animals as $animal) {
            $byId[$animal->id] = $animal;
        }
        foreach ($this->pairs as [$sire, $dam]) {
            if (isset($byId[$sire], $byId[$dam])) {
                $made[$dam] = [$byId[$sire], $byId[$dam]];
            }
        }

        return array_values($made);
    }

    public function keep(Situation $situation, array $young): array
    {
        return $this->keeper->keep($situation, $young);
    }
}
