<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Genome\Catalogue;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Policy\Beginning;
use Destino\Planning\Policy\Comparison;
use Destino\Planning\Policy\Policy;

/** What an animal is worth to a project: the chance by the horizon with it, less that without it, in the same streams of chance. */
final readonly class Worth
{
    /** Animals that are played; the others are worth less as looked ahead. */
    public const MOST_PLAYED = 6;

    private const RUNS = 400;

    /** Work for all comparisons, as a share of an answer's. */
    private const SHARE = 3;

    /**
     * @param float $gain chance by the horizon
     * @param float $error of the gain: one standard error
     * @param float $sooner seasons by which it comes sooner, on average
     * @param float $soonerError one standard error
     */
    private function __construct(
        public Founder $founder, public float $gain, public float $error, public float $sooner, public float $soonerError,
    ) {}

    /**
     * @param list<int|null> $with season in which the target was reached, by run
     * @param list<int|null> $without
     */
    private static function between(Founder $founder, array $with, array $without, int $horizon): self
    {
        return new self($founder, ...[...Comparison::difference($with, $without), ...Comparison::sooner($with, $without, $horizon)]);
    }

    /**
     * Owned animals, those that the chance would miss most first.
     *
     * @param list<Founder> $bought
     * @return list<self>
     */
    public static function ofOwned(Policy $policy, array $bought, int $seed): array
    {
        $space = $policy->law->space;
        $owned = array_values(array_filter($space->project->founders, static fn (Founder $one): bool => ! $one->isOffer()));
        $owned = self::promising($policy, $owned);
        $whole = $policy->playing($bought);
        $runs = $policy->affordable($whole, self::RUNS, $seed, intdiv($policy->work(), self::SHARE * max(1, count($owned))));
        $with = $whole->seasons($runs, $seed);
        $worths = [];
        foreach ($owned as $animal) {
            $rest = array_values(array_filter($space->project->founders, static fn (Founder $one): bool => $one->id !== $animal->id));
            $less = $space->for($space->project->withFounders($rest));
            $own = (new Policy($space->catalogue, $less->project, $less, $policy->effort))->beginning($policy->first());
            $without = $own->playing($bought)->seasons($runs, $seed);
            $worths[] = self::between($animal, $with, $without, $space->project->horizon);
        }

        return self::ordered($worths);
    }

    /**
     * Animals that are not owned, as if each came for nothing.
     *
     * @param list<Founder> $more
     * @param Beginning $first how the answer is played (Policy::first)
     * @return list<self> the worthiest first
     */
    public static function ofMore(
        Catalogue $catalogue, Project $project, array $more, int $seed, float $effort = 1.0, Beginning $first = new Beginning,
    ): array {
        $gifts = array_map(static fn (Founder $one): Founder => new Founder(
            $one->id, $one->sex, $one->belief, $one->genes, $one->months, $one->grams, 0.0,
        ), $more);
        $owned = array_values(array_filter($project->founders, static fn (Founder $one): bool => ! $one->isOffer()));
        $all = $project->withFounders([...$owned, ...$gifts]);
        $policy = (new Policy($catalogue, $all, new Space($catalogue, $all), $effort))->beginning($first->thenBuying([]));
        $gifts = self::promising($policy, $gifts);
        if ($gifts === []) {
            return [];
        }
        $runs = $policy->affordable($policy->playing([]), self::RUNS, $seed, intdiv($policy->work(), self::SHARE * count($gifts)));
        $without = $policy->playing([])->seasons($runs, $seed);

        return self::ordered(array_map(
            static fn (Founder $gift): self => self::between(
                $gift, $policy->playing([$gift])->seasons($runs, $seed), $without, $project->horizon,
            ),
            $gifts,
        ));
    }

    /**
     * @param list<Founder> $founders
     * @return list<Founder> those that look ahead as the worthiest
     */
    private static function promising(Policy $policy, array $founders): array
    {
        $most = $policy->atEffort(self::MOST_PLAYED);
        if (count($founders) <= $most) {
            return $founders;
        }
        $promises = array_map($policy->promiseOf(...), $founders);
        arsort($promises);

        return array_map(static fn (int $i): Founder => $founders[$i], array_slice(array_keys($promises), 0, $most));
    }

    /**
     * @param list<self> $worths
     * @return list<self>
     */
    private static function ordered(array $worths): array
    {
        usort($worths, static fn (self $a, self $b): int => [$b->gain, $b->sooner] <=> [$a->gain, $a->sooner]);

        return $worths;
    }
}
