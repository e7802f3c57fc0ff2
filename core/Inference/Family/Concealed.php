<?php

declare(strict_types=1);

namespace Destino\Inference\Family;

use Destino\Genome\Mask;

/** What hides things in a member by what it is at other places. */
final readonly class Concealed
{
    /**
     * @param list<Mask> $sure what it has for certain, at spaces outside of those that are worked out with it
     * @param non-empty-list<list<Mask>> $ways everything that it may have, at any space
     */
    public function __construct(public array $sure, public array $ways) {}
}
