<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** A gene is another line or allele than it is called. */
final readonly class Misnamed extends Fault
{
    public function kind(): FaultKind
    {
        return FaultKind::Misnamed;
    }

    public function chance(ErrorRates $rates, int $eggs = 1): float
    {
        return $rates->misnamed->toFloat() ** $eggs; // each egg by itself
    }

    public function mark(Doubts $doubts, string $member, string $litter): void
    {
        $doubts->rename($member, $this->alleles, $this->instead);
    }

    protected function sentence(string $subject, string $genes, ?string $instead): string
    {
        return $instead === null
            ? "{$subject}’s {$genes} is a different gene."
            : "{$subject}’s {$genes} is {$instead}.";
    }
}
