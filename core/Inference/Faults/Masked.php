<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** A parent carries a gene that its own form hides. */
final readonly class Masked extends Fault
{
    public function kind(): FaultKind
    {
        return FaultKind::Masked;
    }

    public function chance(ErrorRates $rates, int $eggs = 1): float
    {
        return $rates->masked->toFloat();
    }

    public function mark(Doubts $doubts, string $member, string $litter): void
    {
        $doubts->hide($member, $this->alleles);
    }

    public function isHeardAnywhere(): bool
    {
        return true;
    }

    protected function sentence(string $subject, string $genes, ?string $instead): string
    {
        return "{$subject} carries {$genes}, hidden by its own form.";
    }
}
