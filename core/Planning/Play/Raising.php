<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Random\Randomizer;

/** Founders as they come into a run. */
final readonly class Raising
{
    public function __construct(private Space $space, private Hatchery $hatchery) {}

    /**
     * Founders with their true genotypes.
     *
     * @param list<array{string, Founder}> $founders with the key of their node
     */
    public function start(array $founders, Randomizer $chance): PlayedRun
    {
        $run = new PlayedRun([], ['male' => 0, 'female' => 0]);
        foreach ($founders as [$key, $founder]) {
            $states = $this->hatchery->genotypeOf($founder, static fn (): float => Hatchery::draw($chance));
            $first = max(
                $founder->from,
                $this->space->project->assumptions->firstSeason($founder->sex === Sex::Male, $founder->months, $founder->grams),
            );
            $run->animals[$key][] = new PlayedAnimal($states, $first, $founder->id);
            // what is bought has not hatched here
            if (! $founder->isOffer() && ! $this->space->project->sure && $this->hatchery->meets($states, $founder->sex)) {
                $run->count($founder->sex);
            }
        }

        return $run;
    }
}
