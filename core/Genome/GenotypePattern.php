<?php

declare(strict_types=1);

namespace Destino\Genome;

/** A set of alleles that an animal must have, with copies: the form that a condition, a warning or a mask is about. */
final readonly class GenotypePattern
{
    /** @param array<string, int> $copies fewest copies by allele key */
    public function __construct(public array $copies, public ?Sex $sex = null) {}

    /**
     * A repeated allele asks for two copies; two alleles of one locus ask for the compound.
     *
     * @param list<string> $alleles
     */
    public static function ofList(array $alleles, ?Sex $sex = null): self
    {
        return new self(array_count_values($alleles), $sex);
    }

    /** @param callable(string): int $copiesOf copies of an allele that the animal has */
    public function fits(callable $copiesOf): bool
    {
        foreach ($this->copies as $allele => $fewest) {
            if ($copiesOf($allele) < $fewest) {
                return false;
            }
        }

        return true;
    }
}
