<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Destino\Genome\Belief;

/** What follows for one animal from its statements and its parents. */
final readonly class Derived
{
    /**
     * @param array<string, list<Reason>> $reasons by locus, in the order in which they were taken up
     * @param list<Conflict> $conflicts
     */
    public function __construct(public Belief $belief, public array $reasons, public array $conflicts) {}
}
