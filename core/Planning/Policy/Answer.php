<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Founder;
use Destino\Planning\Play\Outcome;

/** What a keeper can reach who decides each season by what hatched, and what that means now. */
final readonly class Answer
{
    /**
     * @param list<Founder> $bought offers that are bought before the first pairing
     * @param list<Mating> $matings of this season, the worthiest first
     * @param list<Keep> $keep young that may hatch of them, those to keep first
     * @param Effort $effort the smallest limits that cost hardly any chance
     * @param list<Mating> $possible every pairing of owned animals that could be made now and would help, as looked ahead
     * @param list<Founder> $later offers that are bought in a later season if nothing as near the target has hatched by then
     */
    public function __construct(
        public Outcome $outcome, public array $bought, public array $matings, public array $keep, public int $seed,
        public array $possible = [], public Effort $effort = new Effort, public array $later = [],
    ) {}
}
