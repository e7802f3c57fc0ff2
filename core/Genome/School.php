<?php

declare(strict_types=1);

namespace Destino\Genome;

/** One side of a disputed fact. */
final readonly class School
{
    /** @param list<array<string, mixed>> $changes what it changes in the catalogue, as the schema defines */
    public function __construct(
        public string $key,
        public string $name,
        public string $effect,
        public string $argument,
        public array $changes,
    ) {}
}
