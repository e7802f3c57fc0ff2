<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Genome\State;
use Destino\Probability\Rational;

/**
 * Genotypes as they would be if a record were wrong: with a gene that nobody mentioned, without one that is another line,
 * with a new mutation.
 */
final readonly class Altered
{
    /** @param list<LinkageGroup> $groups */
    public function __construct(private Catalogue $catalogue, private array $groups) {}

    /**
     * @param list<string> $alleles
     * @return list<array{State, Rational}> with one copy of one of the alleles in place of a wild one, all alike
     */
    public function withOneMore(State $state, array $alleles): array
    {
        $found = [];
        foreach ($alleles as $allele) {
            $locus = $this->catalogue->allele($allele)->locus;
            foreach ($this->groups as $group) {
                $at = array_search($locus, $group->loci, true);
                if ($at === false) {
                    continue;
                }
                foreach ([0, 1] as $strand) {
                    $haplotypes = $state->at($group)->haplotypes;
                    if ($haplotypes[$strand][$at] === Allele::WILD) {
                        $haplotypes[$strand][$at] = $allele;
                        $more = $state->with($group, new Diplotype($haplotypes[0], $haplotypes[1]));
                        $found[$more->key] = $more;
                    }
                }
            }
        }

        return array_map(static fn (State $one): array => [$one, Rational::of(1, count($found))], array_values($found));
    }

    /**
     * @param list<string> $alleles
     * @return list<array{State, Rational}> the state with the wild type in place of these alleles
     */
    public function without(State $state, array $alleles): array
    {
        foreach ($this->groups as $group) {
            [$first, $second] = array_map(
                static fn (array $haplotype): array => array_map(
                    static fn (string $allele): string => in_array($allele, $alleles, true) ? Allele::WILD : $allele, $haplotype,
                ),
                $state->at($group)->haplotypes,
            );
            $state = $state->with($group, new Diplotype($first, $second));
        }

        return [[$state, Rational::one()]];
    }
}
