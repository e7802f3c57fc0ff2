<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A genotype over some linkage groups: the diplotype of each. Equal genotypes have equal keys. */
final readonly class State
{
    public string $key;

    /** @param array<string, Diplotype> $diplotypes by key of the group, in the order of the keys */
    private function __construct(public array $diplotypes)
    {
        $keys = [];
        foreach ($diplotypes as $diplotype) {
            $keys[] = $diplotype->key;
        }
        $this->key = implode('|', $keys);
    }

    /** @param array<string, Diplotype> $diplotypes by key of the group */
    public static function of(array $diplotypes): self
    {
        if (count($diplotypes) > 1) {
            ksort($diplotypes, SORT_STRING);
        }

        return new self($diplotypes);
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @param list<LinkageGroup> $groups */
    public static function wild(array $groups, Sex $sex): self
    {
        $diplotypes = [];
        foreach ($groups as $group) {
            $diplotypes[$group->key] = $group->wildType($sex);
        }

        return self::of($diplotypes);
    }

    /** @throws GenomeError when it says nothing of the group */
    public function at(LinkageGroup $group): Diplotype
    {
        return $this->diplotypes[$group->key] ?? throw GenomeError::groupNotHeld($group->key, array_keys($this->diplotypes));
    }

    /** This genotype and what another says of further groups; where both speak, this one stays. */
    public function and(self $other): self
    {
        return self::of($this->diplotypes + $other->diplotypes);
    }

    public function with(LinkageGroup $group, Diplotype $diplotype): self
    {
        return self::of([$group->key => $diplotype] + $this->diplotypes);
    }

    /** @param list<string> $groups keys of those that are kept */
    public function only(array $groups): self
    {
        return new self(array_intersect_key($this->diplotypes, array_flip($groups)));
    }

    /** Copies of a mutant allele. */
    public function copiesOf(string $allele): int
    {
        $copies = 0;
        foreach ($this->diplotypes as $diplotype) {
            foreach ($diplotype->haplotypes as $haplotype) {
                $copies += in_array($allele, $haplotype, true) ? 1 : 0;
            }
        }

        return $copies;
    }

    /** Equal for genotypes that differ in phase only. */
    public function unphasedKey(): string
    {
        return implode('|', array_map(static fn (Diplotype $diplotype): string => $diplotype->unphasedKey, $this->diplotypes));
    }
}
