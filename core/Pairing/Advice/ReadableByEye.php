<?php

declare(strict_types=1);

namespace Destino\Pairing\Advice;

use Destino\Genome\Severity;
use Destino\Notation\Percentage;
use Destino\Pairing\Cross;
use Destino\Pairing\Genotypes;
use Destino\Pairing\Looks;
use Destino\Probability\Rational;

/** How many outcomes cannot be told apart by eye at hatching. */
final readonly class ReadableByEye implements AdviceRule
{
    public function advise(Cross $cross): array
    {
        $genotypes = Genotypes::of($cross)->total();
        $looks = Looks::of($cross, alike: true);
        $unread = $looks->chanceOfOneGenotype()->complement();
        if ($unread->isZero()) {
            return [];
        }
        $severity = $unread->compareTo(Rational::of(1, 2)) > 0 ? Severity::Watch : Severity::Info;

        return [new Advice('told-by-eye', $severity,
            "Hard to identify: {$genotypes} genotypes, {$looks->total()} looks. ".Percentage::print($unread)
            .' of hatchlings will carry something you cannot see (hets, second copies, look-alikes or hidden genes).',
            $unread)];
    }
}
