<?php

declare(strict_types=1);

namespace Destino\Pairing;

use Destino\Probability\Rational;

/** What an outcome can be in one block: one genotype, or the genotypes there that look alike. */
final readonly class SpaceItem
{
    /** @param non-empty-list<BlockOutcome> $members in printer's order */
    public function __construct(public array $members, public Rational $probability) {}

    /** @return int place in printer's order within the block */
    public function rank(): int
    {
        return $this->members[0]->rank;
    }
}
