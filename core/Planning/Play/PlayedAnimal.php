<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

/** An animal in one simulated run. */
final class PlayedAnimal
{
    /** Clutches' hatchlings that showed nothing of what was hoped for. */
    public int $misses = 0;

    /** Matings of this season. */
    public int $mates = 0;

    /**
     * @param list<int> $states its true genotype by group
     * @param int $from first season in which it breeds
     * @param string $founder id; empty for a young
     */
    public function __construct(public readonly array $states, public readonly int $from, public readonly string $founder = '') {}
}
