<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Meiosis;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** What an animal passes on: P(an egg or sperm carries the allele). */
final readonly class Transmission
{
    /** @return list<array{Allele, Rational}> in catalogue order; alleles that it cannot pass are left out */
    public static function of(Belief $parent, Catalogue $catalogue): array
    {
        $meiosis = new Meiosis;
        /** @var Weights<Allele> $chances */
        $chances = new Weights;
        foreach ($parent->groups() as $key) {
            $group = $catalogue->groups[$key];
            foreach ($meiosis->pool([$group], $parent->factorOf($group)->states->entries())->entries() as [$gamete, $chance]) {
                foreach ($gamete->haplotypes[$key] as $allele) {
                    if (isset($catalogue->alleles[$allele])) {
                        $chances->add($allele, $catalogue->allele($allele), $chance);
                    }
                }
            }
        }
        $passed = array_values($chances->entries());
        usort($passed, static fn (array $a, array $b): int => $a[0]->rank <=> $b[0]->rank);

        return $passed;
    }
}
