<?php

declare(strict_types=1);

namespace Destino\Inference\Faults;

use Destino\Genome\Allele;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Inheritance\YoungLaw;
use Destino\Probability\Rational;

/**
 * Genotypes as they would be if a record were wrong: with a gene that nobody mentioned, without one that is another line,
 * with a new mutation.
 *
 * @phpstan-type State array<string, Diplotype>
 */
final readonly class Altered
{
    /** @param list<LinkageGroup> $groups */
    public function __construct(private Catalogue $catalogue, private array $groups) {}

    /**
     * @param State $state
     * @param list<string> $alleles
     * @return list<array{State, Rational}> with one copy of one of the alleles in place of a wild one, all alike
     */
    public function withOneMore(array $state, array $alleles): array
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
                    $haplotypes = $state[$group->key]->haplotypes;
                    if ($haplotypes[$strand][$at] === Allele::WILD) {
                        $haplotypes[$strand][$at] = $allele;
                        $more = $state;
                        $more[$group->key] = new Diplotype($haplotypes[0], $haplotypes[1]);
                        $found[YoungLaw::key($more)] = $more;
                    }
                }
            }
        }

        return array_map(static fn (array $one): array => [$one, Rational::of(1, count($found))], array_values($found));
    }

    /**
     * @param State $state
     * @param list<string> $alleles
     * @return list<array{State, Rational}> the state with the wild type in place of these alleles
     */
    public function without(array $state, array $alleles): array
    {
        foreach ($this->groups as $group) {
            [$first, $second] = array_map(static fn (array $haplotype): array => array_map(static fn (string $allele): string => in_array($allele, $alleles, true) ? Allele::WILD : $allele, $haplotype), $state[$group->key]->haplotypes);
            $state[$group->key] = new Diplotype($first, $second);
        }

        return [[$state, Rational::one()]];
    }

    /**
     * @param list<array{array<string, list<string>>, Rational}> $gametes
     * @param list<string> $alleles
     * @return list<array{array<string, list<string>>, Rational}> with one of the alleles in place of a wild one
     */
    public function mutated(array $gametes, array $alleles): array
    {
        $mutated = [];
        foreach ($gametes as [$haplotypes, $chance]) {
            foreach ($alleles as $allele) {
                $mutated[] = [array_map(fn (array $haplotype): array => $haplotype, $this->placed($haplotypes, $allele)), $chance->dividedBy(Rational::of(count($alleles)))];
            }
        }

        return $mutated;
    }

    /**
     * @param array<string, list<string>> $haplotypes
     * @return array<string, list<string>>
     */
    private function placed(array $haplotypes, string $allele): array
    {
        $locus = $this->catalogue->allele($allele)->locus;
        foreach ($this->groups as $group) {
            $at = array_search($locus, $group->loci, true);
            if ($at !== false) {
                $strand = $haplotypes[$group->key];
                $strand[$at] = $allele;
                $haplotypes[$group->key] = array_values($strand);
            }
        }

        return $haplotypes;
    }
}
