<?php

declare(strict_types=1);

namespace Destino\Genome;

use Destino\Probability\Distribution;

/**
 * What is believed of one or more linkage groups of an animal together. Groups share a JointBelief only where knowing
 * one says something about the other ("Pastel or Enchi"); otherwise each has its own.
 */
final readonly class JointBelief
{
    /**
     * @param list<string> $groups linkage group keys
     * @param Distribution<State> $states over these groups
     *
     * @throws GenomeError when a genotype is over other groups
     */
    public function __construct(public array $groups, public Distribution $states)
    {
        sort($groups, SORT_STRING);
        foreach ($states->entries() as [$state]) {
            if (array_keys($state->diplotypes) !== $groups) {
                throw GenomeError::groupsDiffer($groups, array_keys($state->diplotypes));
            }
        }
    }

    public static function certain(LinkageGroup $group, Diplotype $diplotype): self
    {
        return new self([$group->key], Distribution::certain($diplotype->key, State::of([$group->key => $diplotype])));
    }
}
