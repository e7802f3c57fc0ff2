<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Planning\Policy\AsItWas;
use Destino\Planning\Policy\BuildUp;
use Destino\Planning\Policy\Comparison;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Policy\Situation;

/** What one other pair of a past season would have brought: the season as it was, with and without it, in the same runs. */
final readonly class RoadNotTaken
{
    private const RUNS = 300;

    /** Pairs that are tried, the most promising first. */
    private const TRIED = 4;

    /** Seasons sooner that are worth a word, and how many standard errors they have to be above nothing. */
    private const WORTH = .25;

    private const ERRORS = 2.0;

    /**
     * @param string $instead id of the male that had the female in truth; empty where she had none
     * @param float $sooner seasons, on average
     */
    private function __construct(
        public string $sire, public string $dam, public string $instead, public float $sooner, public float $error,
    ) {}

    /**
     * @param Policy $policy of the project as it stood before that season
     * @param list<array{string, string}> $made the matings of the season, by ids of sire and dam
     * @return self|null the pair that would have brought the target soonest; null where none would have brought it much sooner
     */
    public static function of(Policy $policy, array $made, int $seed): ?self
    {
        $keeper = new BuildUp($policy->law);
        $own = array_column($made, 0, 1);
        $pairs = [];
        $start = new Situation(1, $policy->playing([])->start(), ['male' => 0, 'female' => 0]);
        foreach ($keeper->promises($start) as [$sire, $dam]) {
            if (($own[$dam->id] ?? null) !== $sire->id && count($pairs) < self::TRIED) {
                $pairs[] = [$sire->id, $dam->id];
            }
        }
        $played = $policy->playing([], new AsItWas($keeper, $made));
        $runs = $policy->affordable($played, self::RUNS, $seed, intdiv($policy->work(), 4 * (1 + self::TRIED)));
        $before = $played->seasons($runs, $seed);
        $best = null;
        foreach ($pairs as $pair) {
            // A female has one mate: the last that is named.
            $with = $policy->playing([], new AsItWas($keeper, [...$made, $pair]))->seasons($runs, $seed);
            [$sooner, $error] = Comparison::sooner($with, $before, $policy->law->horizon);
            if ($sooner > max(self::WORTH, self::ERRORS * $error, $best->sooner ?? 0.0)) {
                $best = new self($pair[0], $pair[1], $own[$pair[1]] ?? '', $sooner, $error);
            }
        }

        return $best;
    }
}
