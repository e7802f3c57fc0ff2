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
     * @param Distribution<array<string, Diplotype>> $states diplotype by group
     */
    public function __construct(public array $groups, public Distribution $states) {}

    public static function certain(LinkageGroup $group, Diplotype $diplotype): self
    {
        return new self([$group->key], Distribution::certain($diplotype->key, [$group->key => $diplotype]));
    }
}
