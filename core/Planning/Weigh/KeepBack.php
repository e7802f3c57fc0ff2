<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Planning\Given\Founder;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Beginning;
use Destino\Planning\Policy\Policy;

/** What more or less effort would bring: the same policy with other numbers of tubs or clutches, in the same streams of chance. */
final readonly class KeepBack
{
    private const TUBS = [2, 4, 6, 10];

    private const CLUTCHES = [1, 2, 3, 4, 6];

    /** A tub that adds less than this to the chance by the horizon is not worth its food. */
    private const WORTH = .02;

    /**
     * @param array<int, float> $chances P(target by the horizon) by the number of tubs
     * @param int $advised the tubs of the answer; where it sets no limit, the fewest that come so near to the best
     * @param array<int, float> $clutches P(target by the horizon) by clutches in a season; empty where the answer has no limit of them
     */
    private function __construct(public array $chances, public int $advised, public array $clutches = []) {}

    /**
     * @param list<Founder> $bought
     * @param Outcome|null $answer what the policy came to with its own effort: the figure is the same here
     */
    public static function of(Policy $policy, array $bought, int $runs, int $seed, ?Outcome $answer = null): self
    {
        $first = $policy->first();
        $given = $answer === null || ! $first->buildsUp ? null : $first->effort;
        $most = $given?->tubs === null ? null : ($policy->law->space->project->tubs ?? PHP_INT_MAX);
        $tubs = [];
        foreach (self::around(self::TUBS, $given?->tubs, $most) as $count) {
            $tubs[$count] = $answer !== null && $given?->tubs === $count
                ? $answer->by($answer->horizon)
                : self::chance($policy, $first->giving($first->effort->withTubs($count)), $count, $bought, $runs, $seed);
        }
        $clutches = [];
        foreach ($given?->clutches === null ? [] : self::around(self::CLUTCHES, $given->clutches) as $count) {
            $clutches[$count] = $answer !== null && $given?->clutches === $count
                ? $answer->by($answer->horizon)
                : self::chance($policy, $first->giving($first->effort->withClutches($count)), null, $bought, $runs, $seed);
        }
        [$tubs, $clutches] = [self::rising($tubs, $given?->tubs), self::rising($clutches, $given?->clutches)];
        $best = max([0.0, ...array_values($tubs)]);
        $fewest = (int) array_key_first(array_filter($tubs, static fn (float $chance): bool => $chance >= $best - self::WORTH));

        return new self($tubs, $given->tubs ?? $fewest, $clutches);
    }

    /**
     * @param list<int> $numbers
     * @return list<int> with the number of the answer, in order
     */
    private static function around(array $numbers, ?int $own, ?int $most = null): array
    {
        $all = array_values(array_unique($own === null ? $numbers : [...$numbers, $own]));
        sort($all);

        return array_values(array_filter($all, static fn (int $one): bool => $one <= ($most ?? PHP_INT_MAX)));
    }

    /**
     * Who may give more can do all that one does who gives less: what contradicts that is chance of the runs.
     *
     * @param array<int, float> $chances by effort, the least first
     * @param int|null $fixed whose figure is that of the answer
     * @return array<int, float>
     */
    private static function rising(array $chances, ?int $fixed): array
    {
        $own = $fixed === null ? null : $chances[$fixed] ?? null;
        $most = 0.0;
        foreach ($chances as $count => $chance) {
            $most = max($most, $own !== null && $count <= $fixed ? min($own, $chance) : $chance);
            $chances[$count] = $most;
        }

        return $chances;
    }

    /**
     * @param int|null $tubs of the project; null: as it has them
     * @param list<Founder> $bought
     */
    private static function chance(Policy $policy, Beginning $first, ?int $tubs, array $bought, int $runs, int $seed): float
    {
        $space = $policy->law->space;
        $with = $tubs === null ? $space : $space->for($space->project->withTubs($tubs));
        $own = (new Policy($space->catalogue, $with->project, $with, $policy->effort))->beginning($first);
        $affordable = $own->affordable($own->playing($bought), $runs, $seed, intdiv($policy->work(), 2 * count(self::TUBS)));

        return $own->outcome($bought, $affordable, $seed)->by($space->project->horizon);
    }
}
