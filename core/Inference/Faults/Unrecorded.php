<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** A parent carries a gene that nobody mentioned, overlooked. */
final readonly class Unrecorded extends Fault
{
    public function kind(): FaultKind
    {
        return FaultKind::Unrecorded;
    }

    public function chance(ErrorRates $rates, int $eggs = 1): float
    {
        return $rates->unrecorded->toFloat();
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
        return "{$subject} carries {$genes}, but this was never recorded.";
    }
}
