<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\GroupTable;

/** Animals of the search that are settled at their least, by sex. */
final class Settled
{
    /** @var list<Node> */
    public array $males = [];

    /** @var list<Node> */
    public array $females = [];

    /** @param list<GroupTable> $groups */
    public function __construct(private readonly array $groups, private readonly Lineages $lineages) {}

    /**
     * Whether an animal that is settled already, and so ready no later, is at least as good everywhere.
     *
     * @param list<int> $looks
     * @param list<string> $lineage
     */
    public function isPassed(array $looks, Sex $sex, array $lineage): bool
    {
        foreach ($sex === Sex::Male ? $this->males : $this->females as $settled) {
            if (! $this->lineages->standsFor($settled->lineage, $lineage)) {
                continue;
            }
            foreach ($looks as $i => $look) {
                if (! $this->groups[$i]->isAtLeast($settled->looks[$i], $look)) {
                    continue 2;
                }
            }

            return true;
        }

        return false;
    }
}
