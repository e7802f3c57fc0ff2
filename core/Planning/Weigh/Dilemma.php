<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Closure;
use Destino\Genome\Catalogue;
use Destino\Genome\Severity;
use Destino\Genome\Sex;
use Destino\Notation\TargetCondition;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Planner;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;

/** A choice that keepers weigh, played both ways: what the best route comes to if it is decided so. */
final readonly class Dilemma
{
    /** @param Outcome|null $outcome null where no route is left */
    private function __construct(public string $question, public string $choice, public ?Outcome $outcome, public float $money) {}

    /** @return list<self> the plan as it is first; choices between kinds of routes come in pairs */
    public static function of(Catalogue $catalogue, Project $project, int $runs, int $seed): array
    {
        $played = [];
        foreach (self::variants($catalogue, $project) as [$question, $choice, $variant]) {
            $planner = new Planner($catalogue, $variant);
            $played[] = self::played($question, $choice, $planner, $planner->routes(quick: true)[0] ?? null, $runs, $seed);
        }
        $planner = new Planner($catalogue, $project);
        foreach (self::kinds($planner) as [$question, [$one, $isOne], [$other, $isOther]]) {
            $routes = [$planner->routeThat($isOne), $planner->routeThat($isOther)];
            if ($routes[0] !== null && $routes[1] !== null) {
                $played[] = self::played($question, $one, $planner, $routes[0], $runs, $seed);
                $played[] = self::played($question, $other, $planner, $routes[1], $runs, $seed);
            }
        }

        return $played;
    }

    private static function played(string $question, string $choice, Planner $planner, ?Route $route, int $runs, int $seed): self
    {
        return new self($question, $choice, $route === null ? null : $planner->play($route, $runs, $seed), $route?->cost() ?? 0.0);
    }

    /** @return list<array{string, string, Project}> */
    private static function variants(Catalogue $catalogue, Project $project): array
    {
        $variants = [['', 'as planned', $project]];
        $only = static function (string $question, string $choice, Closure $isLeft) use (&$variants, $project): void {
            $left = array_values(array_filter($project->founders, $isLeft));
            if (count($left) < count($project->founders)) {
                $variants[] = [$question, $choice, $project->withFounders($left)];
            }
        };
        $only('Buy, or grow up what you have?', 'buy nothing', static fn (Founder $founder): bool => ! $founder->isOffer());
        $doubt = 'Build on animals that may not carry it, or leave them out?';
        $only($doubt, 'only what is sure', static fn (Founder $founder): bool => $founder->belief->isCertain());
        $variants[] = [
            'Build at once on what may carry it, or prove it first?', 'a season of test crosses first', $project->provingFirst(),
        ];
        $only('Avoid genes with known trouble by another way?', 'no founder with such a gene', self::isFreeOfTrouble($catalogue, $project));
        $variants[] = [
            'One male with several females, or one pair?', 'one female a season for each male',
            $project->withAssumptions(PlanAssumptions::of(['females_per_male' => 1] + $project->assumptions->toArray())),
        ];
        foreach (
            [
                [Sex::Female, 'female_months', 'Wait for females to be older?'], [Sex::Male, 'male_months', 'Use males younger?'],
            ] as [$sex, $name, $question]
        ) {
            $months = $sex === Sex::Female ? $project->assumptions->femaleMonths + 12 : max(6, $project->assumptions->maleMonths - 6);
            $variants[] = [
                $question, ($sex === Sex::Female ? 'females from ' : 'males from ')."{$months} months",
                $project->withAssumptions(PlanAssumptions::of([$name => $months] + $project->assumptions->toArray())),
            ];
        }

        return $variants;
    }

    /** @return Closure(Founder): bool whether it carries no allele of a condition, those that the target asks for aside */
    private static function isFreeOfTrouble(Catalogue $catalogue, Project $project): Closure
    {
        $asked = array_merge(
            [],
            ...array_map(static fn (TargetCondition $condition): array => $condition->wantedAlleles(), $project->target->conditions),
        );
        $troubled = [];
        foreach ($catalogue->alleles as $allele) {
            if (
                ! in_array($allele->key, $asked, true)
                && array_filter(
                    [
                        ...$catalogue->conditionsOf($catalogue->oneCopy($allele)),
                        ...$catalogue->conditionsOf($catalogue->twoCopies($allele)),
                    ],
                    static fn (array $found): bool => $found['condition']->severity->rank() >= Severity::Serious->rank(),
                ) !== []
            ) {
                $troubled[$allele->key] = $allele->locus;
            }
        }

        return static function (Founder $founder) use ($catalogue, $troubled): bool {
            foreach ($troubled as $allele => $locus) {
                $group = $catalogue->groupOf($locus);
                foreach (
                    in_array($group->key, $founder->belief->groups(), true)
                        ? $founder->belief->marginalAt($locus, $group)->entries()
                        : [] as [$pair]
                ) {
                    if (in_array($allele, $pair, true)) {
                        return false;
                    }
                }
            }

            return true;
        };
    }

    /** @return list<array{string, array{string, Closure(Route): bool}, array{string, Closure(Route): bool}}> */
    private static function kinds(Planner $planner): array
    {
        $space = $planner->space();
        /** @param Closure(RouteStep): bool $is */
        $hasYoung = static fn (Route $route, Closure $is): bool => array_filter(
            $route->steps, static fn (RouteStep $step): bool => ! $step->isLast && $is($step) === true,
        ) !== [];
        $isVisual = static fn (RouteStep $step): bool => self::carries($space, $step, false);
        $showsOne = static fn (RouteStep $step): bool => self::carries($space, $step, true);
        $kinds = [];
        $recessive = $visible = false;
        foreach ($space->project->target->conditions as $condition) {
            foreach ($condition->wantedAlleles() as $allele) {
                $shows = $space->catalogue->allele($allele)->inheritance->showsInOneCopy();
                [$recessive, $visible] = [$recessive || ! $shows, $visible || $shows];
            }
        }
        if ($recessive) {
            $kinds[] = [
                'Repeat the cross of hets, or step back through a visual?',
                ['hets until the last cross', static fn (Route $route): bool => count($route->steps) > 1 && ! $hasYoung($route, $isVisual)],
                ['through a visual', static fn (Route $route): bool => $hasYoung($route, $isVisual)],
            ];
        }
        if ($visible && count($space->project->target->conditions) > 1) {
            $kinds[] = [
                'Add the co-dominant now, or at the end?',
                ['now', static fn (Route $route): bool => $hasYoung($route, $showsOne)],
                ['at the end', static fn (Route $route): bool => count($route->steps) > 1 && ! $hasYoung($route, $showsOne)],
            ];
        }

        return $kinds;
    }

    /** Whether the young of a step surely show a wanted gene: one that shows in one copy, or a recessive in two. */
    private static function carries(Space $space, RouteStep $step, bool $inOneCopy): bool
    {
        foreach ($space->project->target->conditions as $condition) {
            foreach ($condition->wantedAlleles() as $allele) {
                if ($space->catalogue->allele($allele)->inheritance->showsInOneCopy() !== $inOneCopy) {
                    continue;
                }
                foreach ($space->groups as $i => $table) {
                    $at = array_search($condition->locus(), $table->group->loci, true);
                    $shown = $at === false
                        ? []
                        : array_map(
                            static fn (int $state): bool => in_array(
                                $allele,
                                $space->catalogue->form($condition->locus(), ...$table->states[$state]->pairAt($at))->shows, true,
                            ),
                            array_keys($table->looks[$step->looks[$i]]),
                        );
                    if ($shown !== [] && ! in_array(false, $shown, true)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
