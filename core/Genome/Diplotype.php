<?php

declare(strict_types=1);

namespace Destino\Genome;

/**
 * The two haplotypes of an animal at one linkage group, in no particular order between them.
 *
 * A haplotype lists one allele per locus, in the order of the group; at a group of one locus this is just the pair of
 * alleles. Which alleles stand together on one haplotype is the phase.
 */
final readonly class Diplotype
{
    /** Equal for equal diplotypes: the haplotypes in a fixed order. */
    public string $key;

    /** Equal for diplotypes that differ in phase only. */
    public string $unphasedKey;

    /** @var array{list<string>, list<string>} */
    public array $haplotypes;

    /**
     * @param list<string> $first
     * @param list<string> $second
     *
     * @throws GenomeError when one is longer than the other, or both are empty
     */
    public function __construct(array $first, array $second)
    {
        if (count($first) !== count($second) || $first === []) {
            throw GenomeError::haplotypesDiffer($first, $second);
        }
        $left = implode('.', $first);
        $right = implode('.', $second);
        $inOrder = strcmp($left, $right) <= 0;
        $this->haplotypes = $inOrder ? [$first, $second] : [$second, $first];
        $this->key = $inOrder ? $left.'~'.$right : $right.'~'.$left;
        if (count($first) === 1) {
            $this->unphasedKey = $this->key;
        } else {
            $pairs = [];
            foreach ($first as $i => $allele) {
                $other = $second[$i];
                $pairs[] = strcmp($allele, $other) <= 0 ? $allele.'~'.$other : $other.'~'.$allele;
            }
            $this->unphasedKey = implode('.', $pairs);
        }
    }

    /** @return array{string, string} the two alleles at the i-th locus of the group */
    public function pairAt(int $i): array
    {
        return [$this->haplotypes[0][$i], $this->haplotypes[1][$i]];
    }

    /** Whether it carries no mutant allele. */
    public function isWild(): bool
    {
        return array_diff([...$this->haplotypes[0], ...$this->haplotypes[1]], [Allele::WILD, Sex::X, Sex::Y]) === [];
    }
}
