<?php

declare(strict_types=1);

namespace App\Words;

use Closure;
use Destino\Genome\Catalogue;
use Destino\Inference\Faults\Fault;
use Destino\Inference\Faults\FaultKind;

/** What may be wrong, in a sentence. */
class FaultWords
{
    /**
     * @param  list<Fault>  $faults
     * @param  Closure(string): string  $name  of an animal or a clutch, by the core's id
     */
    public static function all(array $faults, Closure $name, Catalogue $catalogue): string
    {
        return implode(' And: ', array_map(fn (Fault $fault): string => self::of($fault, $name, $catalogue), $faults));
    }

    /** @param  Closure(string): string  $name  of an animal or a clutch, by the core's id */
    public static function of(Fault $fault, Closure $name, Catalogue $catalogue): string
    {
        $subject = $name($fault->subject);
        $genes = implode(' or ', array_map(fn (string $allele): string => $catalogue->allele($allele)->name, $fault->alleles));

        return match ($fault->kind) {
            FaultKind::Unrecorded => "{$subject} carries {$genes}, and nobody recorded it: not known, or overlooked.",
            FaultKind::Misidentified => "{$subject} is not what it was taken for.",
            FaultKind::OtherSire => "Another male is the sire of {$subject}; sperm can be kept from an earlier season.",
            FaultKind::Misnamed => $fault->instead === null
                ? "What is called {$genes} in {$subject} is some other gene."
                : "What is called {$genes} in {$subject} is {$catalogue->allele($fault->instead)->name}.",
            FaultKind::Masked => "{$subject} carries {$genes}, hidden by its own form.",
            FaultKind::Mutation => "A new mutation in {$subject}.",
        };
    }
}
