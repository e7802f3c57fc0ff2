<?php

declare(strict_types=1);

namespace Destino\Inference\Inheritance;

use Destino\Genome\Allele;
use Destino\Genome\Belief;
use Destino\Genome\Catalogue;
use Destino\Genome\Diplotype;
use Destino\Genome\Gamete;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Genome\State;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/**
 * An animal from outside the records: P(genotype) from the frequencies of alleles among the founders of the collection,
 * counted as if fifty animals without the gene stood beside them (an assumed figure), and from the rate of genes that
 * nobody mentioned. Its two haplotypes are independent.
 */
final readonly class Outside
{
    /** Animals without a gene that are taken to stand beside the founders. */
    public const OTHERS = 50;

    /**
     * @param array<array-key, Rational> $copies expected copies of each allele among the founders
     * @param Rational $unrecorded P(an animal carries one copy of a gene that nobody mentioned)
     */
    public function __construct(private Catalogue $catalogue, private array $copies, private int $founders, private Rational $unrecorded) {}

    /**
     * From what is believed of the founders.
     *
     * @param iterable<Belief> $founders
     */
    public static function among(Catalogue $catalogue, iterable $founders, Rational $unrecorded): self
    {
        /** @var Weights<null> $copies */
        $copies = new Weights;
        $count = 0;
        foreach ($founders as $belief) {
            $count++;
            self::count($belief, $copies);
        }

        return new self($catalogue, $copies->sums(), $count, $unrecorded);
    }

    /** @param Weights<null> $copies expected copies by allele, added to */
    private static function count(Belief $belief, Weights $copies): void
    {
        foreach ($belief->factors as $factor) {
            foreach ($factor->states->entries() as [$state, $weight]) {
                foreach ($state->diplotypes as $diplotype) {
                    foreach (array_diff(array_merge(...$diplotype->haplotypes), [Allele::WILD, Sex::X, Sex::Y]) as $allele) {
                        $copies->add($allele, null, $weight);
                    }
                }
            }
        }
    }

    /** P(a gamete of an animal from outside carries the allele): f + (1 − f)·u/2, f = copies / 2(founders + 50). */
    public function frequency(string $allele): Rational
    {
        $f = ($this->copies[$allele] ?? Rational::zero())->dividedBy(Rational::of(2 * ($this->founders + self::OTHERS)));

        return $f->plus($f->complement()->times($this->unrecorded)->dividedBy(Rational::of(2)));
    }

    /**
     * P(genotype) over some groups.
     *
     * @param list<string> $alleles those that are in question; at all other loci it is wild type
     * @return array<int, Rational> by number of the genotype
     */
    public function prior(GenotypeSpace $space, Sex $sex, array $alleles): array
    {
        $states = [[State::none(), Rational::one()]];
        foreach ($space->groups as $group) {
            $longer = [];
            foreach ($this->diplotypes($group, $sex, $alleles) as [$diplotype, $p]) {
                foreach ($states as [$state, $q]) {
                    $longer[] = [$state->with($group, $diplotype), $p->times($q)];
                }
            }
            $states = $longer;
        }
        return Weights::of(array_map(static fn (array $one): array => [$space->number($one[0]), null, $one[1]], $states))->numbered();
    }

    /**
     * P(haplotypes over some groups) of its gametes.
     *
     * @param list<LinkageGroup> $groups
     * @param list<string> $alleles
     * @return list<array{Gamete, Rational}>
     */
    public function gametes(array $groups, Sex $sex, array $alleles): array
    {
        $gametes = [[[], Rational::one()]];
        foreach ($groups as $group) {
            $longer = [];
            $chromosomes = $group->holdsSex() ? $sex->alleles() : [''];
            foreach ($chromosomes as $chromosome) {
                foreach ($this->haplotypes($group, $chromosome, $alleles) as [$haplotype, $p]) {
                    foreach ($gametes as [$haplotypes, $q]) {
                        $longer[] = [
                            $haplotypes + [$group->key => $haplotype],
                            $p->times($q)->dividedBy(Rational::of(count($chromosomes))),
                        ];
                    }
                }
            }
            $gametes = $longer;
        }

        return array_map(static fn (array $one): array => [new Gamete($one[0]), $one[1]], $gametes);
    }

    /**
     * @param list<string> $alleles
     * @return list<array{Diplotype, Rational}>
     */
    private function diplotypes(LinkageGroup $group, Sex $sex, array $alleles): array
    {
        [$one, $other] = $sex->alleles();
        $diplotypes = [];
        foreach ($this->haplotypes($group, $one, $alleles) as [$left, $p]) {
            foreach ($this->haplotypes($group, $other, $alleles) as [$right, $q]) {
                $diplotypes[] = [new Diplotype($left, $right), $p->times($q)];
            }
        }

        return $diplotypes;
    }

    /**
     * @param string $chromosome the sex chromosome, where the group holds sex
     * @param list<string> $alleles
     * @return list<array{list<string>, Rational}>
     */
    private function haplotypes(LinkageGroup $group, string $chromosome, array $alleles): array
    {
        $haplotypes = [[[], Rational::one()]];
        foreach ($group->loci as $locus) {
            $longer = [];
            foreach ($locus === Sex::LOCUS ? [[$chromosome, Rational::one()]] : $this->allelesAt($locus, $alleles) as [$allele, $p]) {
                foreach ($haplotypes as [$haplotype, $q]) {
                    $longer[] = [[...$haplotype, $allele], $p->times($q)];
                }
            }
            $haplotypes = $longer;
        }

        return $haplotypes;
    }

    /**
     * @param list<string> $alleles
     * @return list<array{string, Rational}>
     */
    private function allelesAt(string $locus, array $alleles): array
    {
        $found = [];
        $sum = Rational::zero();
        foreach ($alleles as $allele) {
            if ($this->catalogue->allele($allele)->locus === $locus) {
                $found[] = [$allele, $this->frequency($allele)];
                $sum = $sum->plus($this->frequency($allele));
            }
        }
        $most = Rational::of(9, 10);
        if ($sum->compareTo($most) > 0) { // a rate so high that nothing would be left for the wild type
            $found = array_map(static fn (array $one): array => [$one[0], $one[1]->times($most)->dividedBy($sum)], $found);
            $sum = $most;
        }

        return [[Allele::WILD, $sum->complement()], ...$found];
    }
}
