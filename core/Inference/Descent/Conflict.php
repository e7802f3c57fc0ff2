<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

/** Two sides that cannot both be right about some loci of an animal. */
final readonly class Conflict
{
    /**
     * @param list<string> $loci
     * @param list<string> $sides ids of statements, or Reason::PARENTS; two, or all where no two alone exclude each other
     */
    public function __construct(public array $loci, public array $sides) {}
}
