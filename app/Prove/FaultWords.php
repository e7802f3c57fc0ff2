<?php

namespace App\Prove;

use Closure;
use Destino\Genome\Catalogue;
use Destino\Inference\Fault;
use Destino\Inference\FaultKind;

/** What may be wrong, in a sentence. */
class FaultWords
{
    /** @param  Closure(string): string  $name  of an animal or a clutch, by the core's id */
    public static function of(Fault $fault, Closure $name, Catalogue $catalogue): string
    {
        $subject = $name($fault->subject);
        $genes = implode(' or ', array_map(fn (string $allele): string => $catalogue->allele($allele)->name, $fault->alleles));

        return match ($fault->kind) {
            FaultKind::Unrecorded => "{$subject} carries {$genes}, and nobody recorded it: hidden, or overlooked.",
            FaultKind::Misidentified => "{$subject} is not what it was taken for.",
            FaultKind::OtherSire => "Another male is the sire of {$subject}; sperm can be kept from an earlier season.",
            FaultKind::Misnamed => "What is called {$genes} in {$subject} is another line or another gene.",
            FaultKind::Mutation => "A new mutation in {$subject}.",
        };
    }
}
