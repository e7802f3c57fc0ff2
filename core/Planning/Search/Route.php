<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Planning\Given\Founder;
use Destino\Probability\Rational;

/** A way to the target: crosses in the order in which they can begin. */
final readonly class Route
{
    /**
     * @param list<RouteStep> $steps the target's cross last
     * @param list<Founder> $purchases
     * @param float $expected season in which the search expects the target
     * @param Rational $inbreeding F of the target's animals, as far as the pedigree is known
     */
    public function __construct(
        public string $name,
        public string $why,
        public array $steps,
        public array $purchases,
        public float $expected,
        public Rational $inbreeding,
    ) {}

    /** Equal for routes through the same young from the same animals. */
    public function shape(): string
    {
        $parts = array_map(
            static fn (RouteStep $step): string => $step->genes.(
                $step->isLast ? '' : $step->sex?->value
            ).' of '.$step->sireGenes.' × '.$step->damGenes,
            $this->steps,
        );
        sort($parts);

        return implode('; ', $parts);
    }

    /** The same route with another number to keep of one step. */
    public function keeping(string $step, int $count): self
    {
        return new self(
            $this->name,
            $this->why,
            array_map(static fn (RouteStep $one): RouteStep => $one->key === $step ? $one->keeping($count) : $one, $this->steps),
            $this->purchases,
            $this->expected,
            $this->inbreeding,
        );
    }

    public function cost(): float
    {
        return array_sum(array_map(static fn (Founder $founder): float => $founder->price ?? 0.0, $this->purchases));
    }
}
