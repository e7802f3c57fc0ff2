<?php

declare(strict_types=1);

namespace Destino\Inference\Evidence;

/** That an animal is like some of its siblings in one thing: all of the set show it, or none does. */
final readonly class Resemblance
{
    /**
     * @param string $set name of the set, the same for all that are in it
     * @param Penetrance $shows 1 where a genotype shows the thing, 0 where it does not
     */
    public function __construct(public string $set, public Penetrance $shows) {}
}
