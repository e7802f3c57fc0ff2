<?php

declare(strict_types=1);

namespace Destino\Planning\Search;

use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\Space;

/** When something can be expected at the earliest, and whether a young can help at all. */
final readonly class Bounds
{
    public function __construct(private Space $space) {}

    /**
     * No young of such an animal can meet the target earlier, with the best mates that there could be; where it passes on
     * nothing of something that each parent must give, its young cannot, and their young are another generation away.
     *
     * @param list<int> $looks
     */
    public function earliestFinish(array $looks, Sex $sex, float $ready): float
    {
        $ceiling = 1.0;
        foreach ($looks as $i => $look) {
            $ceiling *= $this->space->groups[$i]->ceiling($look);
        }
        $assumptions = $this->space->project->assumptions;
        if ($ceiling <= 0.0) {
            return $ready + min($assumptions->seasonsToGrow(true), $assumptions->seasonsToGrow(false));
        }

        return $this->expected($ready, $ceiling, $sex === Sex::Male ? max(1, $assumptions->femalesPerMale) : 1);
    }

    public function expected(float $from, float $chance, int $females): float
    {
        $h = $this->space->perSeason($chance, $females);

        return $h < 1e-9 ? INF : $from + 1 / $h - 1;
    }
}
