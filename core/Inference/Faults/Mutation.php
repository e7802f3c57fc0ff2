<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

/** A gamete carries a new copy of an allele. */
final readonly class Mutation extends Fault
{
    public function kind(): FaultKind
    {
        return FaultKind::Mutation;
    }

    public function chance(ErrorRates $rates, int $eggs = 1): float
    {
        return (2 * $rates->mutation->toFloat()) ** $eggs; // one of two gametes mutates, egg by egg
    }

    public function mark(Doubts $doubts, string $member, string $litter): void
    {
        $doubts->mutate($member, $this->alleles);
    }

    public function isHeardAnywhere(): bool
    {
        return true;
    }

    protected function sentence(string $subject, string $genes, ?string $instead): string
    {
        return "A new mutation in {$subject}.";
    }
}
