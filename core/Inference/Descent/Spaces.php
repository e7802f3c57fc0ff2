<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Destino\Genome\Catalogue;
use Destino\Genome\LinkageGroup;
use Destino\Inference\Inheritance\GenotypeSpace;

/** The genotypes over some linkage groups, each set of groups met once. */
final class Spaces
{
    /** @var array<string, GenotypeSpace> by groups */
    private array $known = [];

    public function __construct(public readonly Catalogue $catalogue) {}

    /** @param list<LinkageGroup> $groups */
    public function over(array $groups): GenotypeSpace
    {
        return $this->known[
            implode('|', array_map(static fn (LinkageGroup $group): string => $group->key, $groups))
        ] ??= new GenotypeSpace($this->catalogue, $groups);
    }
}
