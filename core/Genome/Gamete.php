<?php

declare(strict_types=1);

namespace Destino\Genome;

/** What one parent gives over some linkage groups: a haplotype of each. Equal gametes have equal keys. */
final readonly class Gamete
{
    public string $key;

    /** @param array<string, list<string>> $haplotypes one allele per locus, by key of the group */
    public function __construct(public array $haplotypes)
    {
        $keys = [];
        foreach ($haplotypes as $haplotype) {
            $keys[] = implode('.', $haplotype);
        }
        $this->key = implode('|', $keys);
    }

    public function carries(string $allele): bool
    {
        foreach ($this->haplotypes as $haplotype) {
            if (in_array($allele, $haplotype, true)) {
                return true;
            }
        }

        return false;
    }

    /** The same gamete with an allele in its place, whatever stood there; unchanged where it does not have the locus. */
    public function with(Allele $allele, LinkageGroup $group): self
    {
        if (! isset($this->haplotypes[$group->key]) || ! $group->holds($allele->locus)) {
            return $this;
        }
        $haplotype = $this->haplotypes[$group->key];
        $haplotype[$group->indexOf($allele->locus)] = $allele->key;

        return new self([$group->key => array_values($haplotype)] + $this->haplotypes);
    }
}
