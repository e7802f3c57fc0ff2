<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;

/** An animal that a route needs: a founder, or a young of a look and a sex from a cross of two others. */
final class Node
{
    /** When it is taken up into the search: nothing later can bring it earlier. */
    public bool $isSettled = false;

    /**
     * @param list<int> $looks by group
     * @param float $born season (from 1) in which it is expected to hatch; 0 for a founder
     * @param float $ready season in which it first breeds
     * @param list<Founder> $founders equal founders; empty for a young
     * @param float $chance P(an egg is such a young and of the sex)
     * @param list<string> $lineage founders behind it that matter to a pin or to a limit of relatedness, sorted
     */
    public function __construct(
        public readonly string $key,
        public readonly array $looks,
        public readonly Sex $sex,
        public readonly float $born,
        public readonly float $ready,
        public readonly array $founders = [],
        public readonly ?self $sire = null,
        public readonly ?self $dam = null,
        public readonly float $chance = 1.0,
        public readonly array $lineage = [],
    ) {}

    public function isFounder(): bool
    {
        return $this->founders !== [];
    }
}
