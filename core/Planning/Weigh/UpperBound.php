<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Play\Hatchery;
use Destino\Planning\Policy\Streams;

/**
 * What nobody can do better than: a project played by somebody who knows every genotype, has a clutch of each female with each male in
 * every season, keeps all young, buys all that he may at no price, and heeds no relatives and no rules. Whatever a keeper does, he does no
 * less; so the chance can only be higher (an information relaxation: Brown, Smith and Sun 2010).
 */
final readonly class UpperBound
{
    private const RUNS = 400;

    /** Animals from which on the bound is as good as certain, and not worth the work. */
    private const MOST_ANIMALS = 14;

    /** Clutches in a season from which on a hit is taken for certain, which can only raise the bound. */
    private const MOST_CLUTCHES = 400;

    /** Standard errors that are added. */
    private const ERRORS = 2.0;

    private Hatchery $hatchery;

    public function __construct(private Space $space)
    {
        $this->hatchery = new Hatchery($space);
    }

    /** P(target by the horizon) that no keeper exceeds, with the error of its runs added; null where it would say nothing. */
    public function chance(int $seed, int $runs = self::RUNS): ?float
    {
        $project = $this->space->project;
        if (count($project->founders) > self::MOST_ANIMALS || $project->sure) {
            return null;
        }
        $reached = 0;
        for ($run = 0; $run < $runs; $run++) {
            $reached += $this->isReached(new Streams($seed, $run)) ? 1 : 0;
        }
        $share = $reached / $runs;

        return min(1.0, $share + self::ERRORS * sqrt(max($share * (1 - $share), .25 / $runs) / $runs));
    }

    private function isReached(Streams $streams): bool
    {
        $project = $this->space->project;
        $found = ['male' => 0, 'female' => 0];
        $animals = []; // by sex: genotype and first season
        foreach ($project->founders as $founder) {
            if (($founder->price ?? 0.0) <= ($project->budget ?? INF)) {
                $own = $this->hatchery->genotypeOf($founder, static fn (): float => $streams->number("founder {$founder->id}"));
                $animals[$founder->sex->value][] = [$own, $this->firstSeason($founder)];
                $found[$founder->sex->value] += ! $founder->isOffer() && $this->hatchery->meets($own, $founder->sex) ? 1 : 0;
            }
        }
        for ($season = 1; $season <= $project->horizon && ! $project->isEnough($found); $season++) {
            $ready = static fn (string $sex): array =>
                array_filter($animals[$sex] ?? [], static fn (array $one): bool => $one[1] <= $season);
            $males = [];
            foreach ($ready('male') as [$own]) {
                $males[implode(' ', $own)] = $own; // males alike would only give the same clutches again
            }
            $females = $ready('female');
            if (count($males) * count($females) > self::MOST_CLUTCHES) {
                return true;
            }
            foreach ($females as $f => [$dam]) {
                foreach ($males as $m => $sire) {
                    $this->hatch($sire, $dam, $season, $streams, "bound {$season} {$f} {$m}", $animals, $found);
                }
            }
        }

        return $project->isEnough($found);
    }

    /**
     * @param list<int> $sire genotype by group
     * @param list<int> $dam
     * @param array<string, list<array{list<int>, int}>> $animals those that hatch are added
     * @param array{male: int, female: int} $found
     */
    private function hatch(array $sire, array $dam, int $season, Streams $streams, string $event, array &$animals, array &$found): void
    {
        $assumptions = $this->space->project->assumptions;
        $chance = $streams->of($event);
        if (Hatchery::draw($chance) >= $assumptions->layRate) {
            return;
        }
        $eggs = $this->hatchery->eggs($chance);
        for ($egg = 0; $egg < $eggs; $egg++) {
            $hatchling = $this->hatchery->hatchling($sire, $dam, $chance);
            if ($hatchling !== null) {
                [$own, $sex] = $hatchling;
                $found[$sex->value] += $this->hatchery->meets($own, $sex) ? 1 : 0;
                $animals[$sex->value][] = [$own, $season + $assumptions->seasonsToGrow($sex === Sex::Male)];
            }
        }
    }

    private function firstSeason(Founder $founder): int
    {
        $isMale = $founder->sex === Sex::Male;

        return max($founder->from, $this->space->project->assumptions->firstSeason($isMale, $founder->months, $founder->grams));
    }
}
