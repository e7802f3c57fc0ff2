<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Phenotypes\Space;

/** What a project's assumptions come to, in the figures that looking ahead needs. */
final class Law
{
    public readonly Types $types;

    public readonly Kinship $kinship;

    public readonly int $horizon;

    public readonly int $maleDelay;

    public readonly int $femaleDelay;

    /** Seasons from a mating to the mating of its young, at the least. */
    public readonly int $shortest;

    public readonly int $femalesPerMale;

    /** Young that hatch of a mating, on average. */
    public readonly float $young;

    /** Pairs that were reckoned so far: what looking ahead costs. */
    public int $work = 0;

    /** @var array<int, float> hazard of a season by chance of a hit */
    private array $hazards = [];

    public function __construct(public readonly Space $space)
    {
        $assumptions = $space->project->assumptions;
        $this->types = new Types($space);
        $this->kinship = new Kinship($space->project);
        $this->horizon = $space->project->horizon;
        $this->maleDelay = $assumptions->seasonsToGrow(true);
        $this->femaleDelay = $assumptions->seasonsToGrow(false);
        $this->shortest = min($this->maleDelay, $this->femaleDelay);
        $this->femalesPerMale = $assumptions->femalesPerMale;
        $eggs = 0.0;
        foreach ($assumptions->clutchLaw() as $count => $weight) {
            $eggs += $count * $weight;
        }
        $this->young = $assumptions->layRate * $eggs * $assumptions->survival();
    }

    /**
     * −ln(1 − P(a mating of this season gives a hit)).
     *
     * @param array{float, float} $weights of male and female hits
     */
    public function hazard(Pair $pair, array $weights): float
    {
        $hit = $pair->male * $weights[0] + $pair->female * $weights[1];
        if ($hit <= 0.0) {
            return 0.0;
        }

        return $this->hazards[(int) round($hit * 1e7)] ??= -log(max(1e-9, 1 - $this->space->perSeason($hit, 1)));
    }
}
