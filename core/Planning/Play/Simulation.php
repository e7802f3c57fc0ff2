<?php

declare(strict_types=1);

namespace Destino\Planning\Play;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Plays a plan season by season with the real constraints: age, one clutch a season for a female and not every season, a
 * male for a few females, clutch sizes, failures, the sex of each hatchling. The keeper sees looks and never genotypes;
 * an uncertain founder has one true genotype in a run; animals whose young showed nothing are passed over for those that
 * may still carry it. Each run has a stream of chance of its own, so that runs can be shared out and add up the same.
 */
final class Simulation
{
    /** @var array<string, RouteStep> every cross that the keeper may make, the nearest to the target first */
    private array $steps = [];

    /** @var list<array{string, Founder}> founders that the routes use, with the key of their node */
    private readonly array $founders;

    /** @var array<string, list<int>> phenotypes of the animals by the key of their node */
    private array $looks = [];

    private readonly Hatchery $hatchery;

    private readonly Recognition $recognition;

    private readonly Raising $raising;

    private Randomizer $chance;

    /** @param list<Route> $routes the first is the plan; more of them are open to luck (adaptive play) */
    public function __construct(private readonly Space $space, private readonly array $routes)
    {
        $this->chance = new Randomizer(new Mt19937(0));
        foreach ($routes as $route) {
            foreach (array_reverse($route->steps) as $step) {
                $this->steps["{$step->key} {$step->sire} {$step->dam}"] ??= $step;
            }
        }
        $this->founders = UsedFounders::of($routes, $this->steps);
        foreach ($this->founders as [$key, $founder]) {
            $this->looks[$key] = $space->looksOf($founder);
        }
        foreach ($this->steps as $step) {
            $this->looks[$step->key] ??= $step->looks;
        }
        $this->hatchery = new Hatchery($space);
        $this->raising = new Raising($space, $this->hatchery);
        $this->recognition = new Recognition($space, $this->steps, $this->looks);
    }

    public function run(int $runs, int $seed, int $firstRun = 0): Outcome
    {
        $horizon = $this->space->project->horizon;
        $reached = $stuck = [];
        $eggs = $kept = 0;
        $money = array_fill(0, $horizon + 1, 0.0);
        for ($run = $firstRun; $run < $firstRun + $runs; $run++) {
            $this->chance = new Randomizer(new Mt19937(($seed * 1_000_003 + $run) & 0x7FFFFFFF));
            [$season, $played] = $this->play($horizon);
            $eggs += $played->eggs;
            $kept += $played->kept;
            foreach ($played->money + array_fill(0, $horizon + 1, $played->spent) as $at => $spent) {
                $money[$at] += $spent;
            }
            if ($season === null) {
                $where = $played->whereItHung($this->routes[0] ?? null);
                $stuck[$where] = ($stuck[$where] ?? 0) + 1;
            } else {
                $reached[$season] = ($reached[$season] ?? 0) + 1;
            }
        }
        ksort($reached);

        return new Outcome(
            $runs, $horizon, $reached, $eggs / $runs, $kept / $runs,
            array_map(static fn (float $sum): float => $sum / $runs, $money), $stuck,
        );
    }

    /** @return array{int|null, PlayedRun} season in which one run reached the target, and what it came to */
    private function play(int $horizon): array
    {
        $run = $this->raising->start($this->founders, $this->chance);
        $project = $this->space->project;
        if ($run->isEnough($project->wanted)) {
            return [0, $run];
        }
        $run->spent = array_sum(array_map(static fn (Founder $founder): float => $founder->price ?? 0.0, $this->routes[0]->purchases ?? []));
        for ($season = 1; $season <= $horizon; $season++) {
            $run->begin();
            $this->keep($run, $this->season($run, $season), $season);
            $run->end($season, $project->assumptions->yearlyKeep);
            if ($run->isEnough($project->wanted)) {
                return [$season, $run];
            }
        }

        return [null, $run];
    }

    /** @return array<string, list<array{list<int>, Sex}>> what hatched, by the key of the step that wants it */
    private function season(PlayedRun $run, int $season): array
    {
        $young = [];
        foreach ($this->steps as $id => $step) {
            if (! $step->isLast && count($run->animals[$step->key] ?? []) >= $step->keep) {
                continue;
            }
            foreach (Serving::pairs($run->animals, $step, $season, $this->space->project->assumptions->femalesPerMale) as [$male, $female]) {
                $run->bred[$id] = true;
                $male->mates++;
                $female->mates++;
                foreach ($this->clutch($run, $id, $male, $female) as [$key, $states, $sex]) {
                    $young[$key][] = [$states, $sex];
                }
            }
        }

        return $young;
    }

    /** @return list<array{string, list<int>, Sex}> sound hatchlings of a mating, each with the key of the step that wants it */
    private function clutch(PlayedRun $run, string $id, PlayedAnimal $male, PlayedAnimal $female): array
    {
        $project = $this->space->project;
        if ($this->next() >= $project->assumptions->layRate) {
            return [];
        }
        $step = $this->steps[$id];
        $young = [];
        [$hatched, $hits] = [0, 0];
        $eggs = $this->hatchery->eggs($this->chance);
        $run->eggs += $eggs;
        $share = $project->soundOf($male->founder, $female->founder);
        for ($egg = 0; $egg < $eggs; $egg++) {
            $hatchling = $this->hatchery->hatchling($male->states, $female->states, $this->chance);
            $hatched += $hatchling === null ? 0 : 1;
            if ($hatchling === null || ($share < 1.0 && $this->next() >= $share)) { // malformed young of the two were seen before
                continue;
            }
            [$states, $sex] = $hatchling;
            $meets = $this->hatchery->meets($states, $sex);
            if ($meets && (! $project->sure || $step->isLast)) {
                $run->count($sex);
            }
            $key = $this->recognition->keyOf($id, $states, $sex);
            $hits += $key === $step->key || ($step->isLast && $meets) ? 1 : 0;
            $young[] = [$key, $states, $sex];
        }
        if ($hits === 0) {
            $male->misses += $hatched;
            $female->misses += $hatched;
        }

        return $young;
    }

    /** @param array<string, list<array{list<int>, Sex}>> $young by the key of the step that wants them */
    private function keep(PlayedRun $run, array $young, int $season): void
    {
        $project = $this->space->project;
        foreach ($this->steps as $step) {
            foreach ($step->isLast ? [] : $young[$step->key] ?? [] as [$states, $sex]) {
                if (count($run->animals[$step->key] ?? []) >= $step->keep || ($project->tubs !== null && $run->kept >= $project->tubs)) {
                    break;
                }
                $from = $season + $project->assumptions->seasonsToGrow($sex === Sex::Male);
                $run->animals[$step->key][] = new PlayedAnimal($states, $from);
                $run->kept++;
            }
        }
    }

    private function next(): float
    {
        return Hatchery::draw($this->chance);
    }
}
