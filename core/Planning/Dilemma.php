<?php

declare(strict_types=1);

namespace Destino\Planning;

use Destino\Genome\Catalogue;
use Destino\Genome\Sex;

/** A choice that keepers weigh, played both ways: what the best route comes to if it is decided so. */
final readonly class Dilemma
{
    /** @param Outcome|null $outcome null where no route is left */
    private function __construct(public string $question, public string $choice, public ?Outcome $outcome, public float $money) {}

    /** @return list<self> the plan as it is first */
    public static function of(Catalogue $catalogue, Project $project, int $runs, int $seed): array
    {
        $played = [];
        foreach (self::variants($project) as [$question, $choice, $variant]) {
            $planner = new Planner($catalogue, $variant);
            $route = $planner->routes(quick: true)[0] ?? null;
            $played[] = new self($question, $choice, $route === null ? null : $planner->play($route, $runs, $seed), $route?->cost() ?? 0.0);
        }

        return $played;
    }

    /** @return list<array{string, string, Project}> */
    private static function variants(Project $project): array
    {
        $owned = array_values(array_filter($project->founders, static fn (Founder $founder): bool => ! $founder->isOffer()));
        $variants = [['', 'as planned', $project]];
        if (count($owned) < count($project->founders)) {
            $variants[] = ['Buy, or grow up what you have?', 'buy nothing', $project->withFounders($owned)];
        }
        $hidden = array_values(array_filter($project->founders, static fn (Founder $founder): bool => $founder->belief->isCertain()));
        if (count($hidden) < count($project->founders)) {
            $variants[] = ['Build on animals that may not carry it, or leave them out?', 'only what is sure', $project->withFounders($hidden)];
        }
        $variants[] = ['One male with several females, or one pair?', 'one female a season for each male', $project->withAssumptions(PlanAssumptions::of(['females_per_male' => 1] + $project->assumptions->toArray()))];
        foreach ([[Sex::Female, 'female_months', 'Wait for females to be older?'], [Sex::Male, 'male_months', 'Use males younger?']] as [$sex, $name, $question]) {
            $months = $sex === Sex::Female ? $project->assumptions->femaleMonths + 12 : max(6, $project->assumptions->maleMonths - 6);
            $variants[] = [$question, ($sex === Sex::Female ? 'females from ' : 'males from ')."{$months} months", $project->withAssumptions(PlanAssumptions::of([$name => $months] + $project->assumptions->toArray()))];
        }

        return $variants;
    }
}
