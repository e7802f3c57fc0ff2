<?php

declare(strict_types=1);

namespace App\Projects;

use App\Models\PlanResult;
use App\Models\Project;
use App\Words\OddsWords;
use Closure;

/**
 * What a plan says, in a sentence.
 *
 * @phpstan-import-type Reach from PlanResult
 */
class PlanSentence
{
    /** The share of keepers by whose year a plan is judged, by the house's openness to risk. */
    private const RISKS = ['careful' => .9, 'even' => .5, 'bold' => .25];

    /** Simulated keepers of whom a share is told in years. */
    private const FEWEST_TOLD = 20;

    /** @param Closure(int): string $year of a season */
    public function __construct(
        private readonly PlanResult $result,
        private readonly Project $project,
        private readonly string $risk,
        private readonly Closure $year,
    ) {}

    /** The answer in a sentence. */
    public function answer(): string
    {
        if ($this->result->already() !== null && $this->project->wanted === 'pair') {
            return "You have a pair already: {$this->project->target}.";
        }
        if ($this->result->already() !== null) {
            return ($this->result->names[$this->result->already()] ?? 'An animal')." is one already: {$this->project->target}.";
        }
        $why = $this->result->error() ?? $this->result->unreachable();
        if ($why !== null) {
            return $why;
        }
        $policy = $this->result->policy;
        if ($policy === null) {
            return 'No plan yet: plan again to make one.';
        }
        $horizon = ($this->year)($this->project->horizon);
        $last = $policy['probability_by_season'][count($policy['probability_by_season']) - 1];
        $share = self::RISKS[$this->risk];
        if (($policy['runs'] ?? self::FEWEST_TOLD) < self::FEWEST_TOLD) { // 90 % of four runs is nothing that could be said
            return "Chance by {$horizon}: ".self::reached($last).' (first estimate).';
        }
        $season = self::seasonOf($policy, $share);

        $by = $season === null ? '' : ($this->year)($season);

        $chance = OddsWords::share($share).' chance';

        return "Chance by {$horizon}: ".self::reached($last).'. '.($season === null ? "A {$chance} takes longer." : "{$chance} by {$by}.");
    }

    /** @param array{decimal: float, low: float} $at what every run reached is not sure for that */
    public static function reached(array $at): string
    {
        return $at['decimal'] >= 1 ? 'over '.min(99, (int) floor(100 * $at['low'])).' %' : OddsWords::share($at['decimal']);
    }

    /** @param Reach $route */
    private static function seasonOf(array $route, float $share): ?int
    {
        foreach ($route['probability_by_season'] as $at) {
            if ($at['decimal'] >= $share) {
                return $at['season'];
            }
        }

        return null;
    }
}
