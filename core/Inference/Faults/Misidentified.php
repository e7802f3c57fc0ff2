<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** The hatchling is not what it is said to be. */
final readonly class Misidentified extends Fault
{
    public function kind(): FaultKind
    {
        return FaultKind::Misidentified;
    }

    public function chance(ErrorRates $rates, int $eggs = 1): float
    {
        return $rates->misidentified->toFloat() ** $eggs; // egg by egg
    }

    public function mark(Doubts $doubts, string $member, string $litter): void
    {
        $doubts->free($member, $this->alleles);
    }

    protected function sentence(string $subject, string $genes, ?string $instead): string
    {
        return "{$subject} was misidentified.";
    }
}
