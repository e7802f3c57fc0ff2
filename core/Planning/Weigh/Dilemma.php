<?php

declare(strict_types=1);

namespace Destino\Planning\Weigh;

use Closure;
use Destino\Genome\Catalogue;
use Destino\Genome\Severity;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\PlanAssumptions;
use Destino\Planning\Given\Project;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Buying;
use Destino\Planning\Policy\Policy;

/** A choice that keepers weigh: what the policy comes to if it is decided so. */
final readonly class Dilemma
{
    /** @param Outcome|null $outcome null where no route is left */
    private function __construct(public string $question, public string $choice, public ?Outcome $outcome, public float $money) {}

    /**
     * @param list<Founder> $bought
     * @return list<self> the plan as it is first, each under the same policy and in the same streams of chance
     */
    public static function of(Policy $policy, array $bought, int $runs, int $seed): array
    {
        $project = $policy->law->space->project;
        $variants = self::variants($policy->law->space->catalogue, $project);
        $played = [];
        foreach ($variants as [$question, $choice, $variant]) {
            $played[] = self::played(
                $question, $choice, $policy, $variant, $bought, $runs, $seed, intdiv($policy->work(), 2 * count($variants)),
            );
        }

        return $played;
    }

    /** @param list<Founder> $bought those that the variant still has are bought */
    private static function played(
        string $question, string $choice, Policy $policy, Project $variant, array $bought, int $runs, int $seed, int $work,
    ): self {
        $own = (new Policy($policy->law->space->catalogue, $variant, null, $policy->effort))->beginning($policy->first());
        if ($own->leastSeasons($variant->horizon) === null) {
            return new self($question, $choice, null, 0.0);
        }
        $bought = array_values(array_filter($bought, static fn (Founder $one): bool => in_array($one, $variant->founders, true)));
        $outcome = $own->outcome($bought, $own->affordable($own->playing($bought), $runs, $seed, $work), $seed);

        return new self($question, $choice, $outcome, Buying::cost($bought));
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
        $only('Buy, or grow up what you have?', 'without buying', static fn (Founder $founder): bool => ! $founder->isOffer());
        $doubt = 'Build on animals that may not carry it, or leave them out?';
        $only($doubt, 'only what is sure', static fn (Founder $founder): bool => $founder->belief->isCertain());
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
        $asked = $project->target->wantedAlleles();
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
}
