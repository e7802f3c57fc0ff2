<?php

declare(strict_types=1);

namespace Destino\Inference;

/** A fault with P(fault | what hatched), among all that were weighed. */
final readonly class Explanation
{
    /** @param float $odds share among the explanations, 0 to 1 */
    public function __construct(public Fault $fault, public float $odds) {}
}
