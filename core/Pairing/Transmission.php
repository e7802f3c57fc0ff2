<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Probability\Rational;

/** What an animal passes on: P(an egg or sperm carries the allele). */
final readonly class Transmission
{
    /** @return list<array{Allele, Rational}> in catalogue order; alleles that it cannot pass are left out */
    public static function of(Belief $parent, Catalogue $catalogue): array
    {
        $chances = [];
        foreach ($parent->groups() as $key) {
            $group = $catalogue->groups[$key];
            foreach ($parent->factorOf($group)->states->entries() as [$state, $weight]) {
                foreach ($group->gametes($state[$key])->entries() as [$haplotype, $p]) {
                    foreach ($haplotype as $allele) {
                        if (isset($catalogue->alleles[$allele])) {
                            $chances[$allele] = ($chances[$allele] ?? Rational::zero())->plus($weight->times($p));
                        }
                    }
                }
            }
        }
        $passed = array_map(static fn (string $allele, Rational $chance): array => [$catalogue->allele($allele), $chance], array_keys($chances), $chances);
        usort($passed, static fn (array $a, array $b): int => $a[0]->rank <=> $b[0]->rank);

        return $passed;
    }
}
