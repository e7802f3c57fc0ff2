<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** Another male, sperm kept from an earlier season included. */
final readonly class OtherSire extends Fault
{
    public function kind(): FaultKind
    {
        return FaultKind::OtherSire;
    }

    public function chance(ErrorRates $rates, int $eggs = 1): float
    {
        return $rates->otherSire->toFloat();
    }

    public function mark(Doubts $doubts, string $member, string $litter): void
    {
        $doubts->takeOtherSire($litter);
    }

    protected function sentence(string $subject, string $genes, ?string $instead): string
    {
        return "Another male is the sire of {$subject}; sperm can be kept from an earlier season.";
    }
}
