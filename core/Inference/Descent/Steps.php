<?php

declare(strict_types=1);

namespace Destino\Inference\Descent;

use Destino\Genome\State;
use Destino\Probability\Weights;

/** What was taken up one after the other while a belief was derived. */
final class Steps
{
    /** @var list<array{string, Weights<State>}> who spoke, and the weights after it */
    public array $taken = [];

    /** @param Weights<State>|null $prior from the parents */
    public function __construct(public readonly ?Weights $prior)
    {
        if ($prior !== null) {
            $this->taken[] = [Reason::PARENTS, $prior];
        }
    }

    /** @param Weights<State> $states */
    public function take(string $by, Weights $states): void
    {
        $this->taken[] = [$by, $states];
    }
}
