<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Closure;
use Destino\Genome\Catalogue;

/** Faults that together make the records possible, with P(faults | what is recorded), among all that were weighed. */
final readonly class Explanation
{
    /** The first fault; the only one of most explanations. */
    public Fault $fault;

    /**
     * @param non-empty-list<Fault> $faults
     * @param float $odds share among the explanations, 0 to 1
     */
    public function __construct(public array $faults, public float $odds)
    {
        $this->fault = $faults[0];
    }

    public function key(): string
    {
        $keys = array_map(static fn (Fault $fault): string => $fault->key(), $this->faults);
        sort($keys);

        return implode('; ', $keys);
    }

    /** The kind of all its faults; null where they are of several. */
    public function kind(): ?FaultKind
    {
        return array_filter($this->faults, fn (Fault $fault): bool => $fault::class !== $this->fault::class) === []
            ? $this->fault->kind()
            : null;
    }

    /** @param Closure(string): string $name of an animal or a clutch, by the core's id */
    public function words(Closure $name, Catalogue $catalogue): string
    {
        return implode(' And: ', array_map(static fn (Fault $fault): string => $fault->words($name, $catalogue), $this->faults));
    }
}
