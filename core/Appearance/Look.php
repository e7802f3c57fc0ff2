<?php

declare(strict_types=1);

namespace Destino\Appearance;

/** What an animal looks like: amounts on the axes, each with what moved it. */
final readonly class Look
{
    /**
     * @param array<string, float> $values by axis; an axis that is left out is as in the wild type
     * @param array<string, list<array{string, float}>> $reasons what moved each axis, and by how much
     * @param list<string> $hidden forms that cannot be seen, as the mask says
     * @param int $days age
     * @param int $seed the same seed gives the same individual
     */
    public function __construct(
        public array $values,
        public array $reasons,
        public Sureness $sureness,
        public array $hidden,
        public int $days,
        public int $seed,
    ) {}

    public function at(string $axis): float
    {
        return $this->values[$axis] ?? 0.0;
    }
}
