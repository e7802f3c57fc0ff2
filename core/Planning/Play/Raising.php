<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Random\Randomizer;

/** Animals as they come into a run: founders, and young that are about to breed. */
final readonly class Raising
{
    /** @param array<string, list<int>> $looks phenotypes of the animals by the key of their node */
    public function __construct(private Space $space, private Hatchery $hatchery, private array $looks) {}

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
            $run->animals[$key][] = $this->grown($states, $this->looks[$key], $first, $chance, $founder->id);
            // what is bought has not hatched here
            if (! $founder->isOffer() && ! $this->space->project->sure && $this->hatchery->meets($states, $founder->sex)) {
                $run->count($founder->sex);
            }
        }

        return $run;
    }

    /**
     * An animal that is about to breed. Where a plan proves first, one that may not be what is hoped for spends a season on
     * a test cross to a visual mate, which shows with 1/2 an egg what it is; found out, it is let go.
     *
     * @param list<int> $states
     * @param list<int> $looks what the keeper knows of it
     */
    public function grown(array $states, array $looks, int $from, Randomizer $chance, string $founder = ''): PlayedAnimal
    {
        if (! $this->space->project->provesFirst) {
            return new PlayedAnimal($states, $from, founder: $founder);
        }
        $isDoubtful = false;
        $isAsHoped = true;
        foreach ($this->space->groups as $i => $table) {
            $isDoubtful = $isDoubtful || count($table->book->looks[$looks[$i]]) > 1;
            $isAsHoped = $isAsHoped && $table->isAsHoped($looks[$i], $states[$i]);
        }
        if (! $isDoubtful) {
            return new PlayedAnimal($states, $from, founder: $founder);
        }
        $assumptions = $this->space->project->assumptions;
        $misses = Hatchery::draw($chance) < $assumptions->layRate ? (1 - $assumptions->survival() / 2) ** $this->hatchery->eggs($chance) : 1.0;

        return new PlayedAnimal($states, $from + 1, ! $isAsHoped && Hatchery::draw($chance) >= $misses ? $from + 1 : null, $founder);
    }
}
