<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** What is recorded as two copies of a gene is one: nobody sees the difference for certain, or the two do not live. */
final readonly class OneCopy extends Fault
{
    public function kind(): FaultKind
    {
        return FaultKind::OneCopy;
    }

    public function chance(ErrorRates $rates, int $eggs = 1): float
    {
        return $rates->oneCopy->toFloat() ** $eggs; // each egg by itself
    }

    public function mark(Doubts $doubts, string $member, string $litter): void
    {
        $doubts->halve($member, $this->alleles);
    }

    protected function sentence(string $subject, string $genes, ?string $instead): string
    {
        return "{$subject} has one copy of {$genes}, not two.";
    }
}
