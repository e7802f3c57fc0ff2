<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** What a keeper knows before the pairing of a season. */
final readonly class Situation
{
    /**
     * @param list<Holding> $animals
     * @param array{male: int, female: int} $found animals of the target so far
     */
    public function __construct(public int $season, public array $animals, public array $found) {}
}
