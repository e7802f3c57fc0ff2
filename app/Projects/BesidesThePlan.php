<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Models\Plan as PlanRecord;
use App\Models\Project as ProjectRecord;
use App\Pairing\PairingCheck;
use Closure;
use Destino\DestinoError;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Planner;
use Destino\Planning\Play\Outcome;
use Destino\Planning\Policy\Answer;
use Destino\Planning\Policy\Policy;
use Destino\Planning\Search\PairFinder;
use Destino\Planning\Weigh\Dilemma;
use Destino\Planning\Weigh\Influence;
use Destino\Planning\Weigh\KeepBack;
use Destino\Planning\Weigh\UpperBound;

/** What stands beside a plan: what moves it, what other decisions come to, the best pairings and whom else they serve. */
class BesidesThePlan
{
    /** @param Closure(ProjectRecord): Project $project as the core plans it */
    public function __construct(private readonly Opened $opened, private readonly Closure $project) {}

    /**
     * What moves the result, what tubs are worth, what other decisions come to: the policy under a changed project.
     *
     * @return array<string, mixed>
     */
    public function weighed(Policy $policy, Answer $answer, PlanRecord $record): array
    {
        [$bought, $runs, $seed] = [$answer->bought, $answer->outcome->runs, $record->seed];
        $figures = fn (Outcome $outcome): array => [
            'median' => $outcome->season(.5), 'by_horizon' => round($outcome->by($outcome->horizon), 4),
        ];
        $record->update(['progress' => 75]);
        $influence = array_map(fn (Influence $one): array => [
            'assumption' => $one->assumption, 'low' => $one->low, 'high' => $one->high,
            'at_low' => $figures($one->atLow), 'at_high' => $figures($one->atHigh),
        ], Influence::of($policy, $bought, $runs, $seed));
        $record->update(['progress' => 85]);
        $keep = KeepBack::of($policy, $bought, $runs, $seed, $answer->outcome);
        $record->update(['progress' => 90]);
        $dilemmas = array_map(fn (Dilemma $one): array => [
            'question' => $one->question, 'choice' => $one->choice, 'money' => round($one->money + ($one->outcome?->money() ?? 0.0), 2),
        ] + ($one->outcome === null ? ['median' => null, 'by_horizon' => null] : $figures($one->outcome)),
        Dilemma::of($policy, $bought, $runs, $seed));

        return [
            'influence' => $influence, 'dilemmas' => $dilemmas,
            'bound' => (new UpperBound($policy->law->space))->chance($seed),
            'tubs' => ['chances' => $keep->chances, 'advised' => $keep->advised, 'clutches' => $keep->clutches],
        ];
    }

    /** @return list<array<string, mixed>> the best pairings of the collection for the target */
    public function pairs(Planner $planner, Project $project, ProjectRecord $record): array
    {
        $owned = array_values(array_filter($project->founders, fn (Founder $founder): bool => ! $founder->isOffer()));
        $family = $this->opened->family();
        $season = fn (Founder $founder): int => max(
            $founder->from, $project->assumptions->firstSeason($founder->sex === Sex::Male, $founder->months, $founder->grams),
        );
        $serves = $this->otherProjects($record, $owned);
        $pairs = [];
        foreach ((new PairFinder($planner->space()))->best($owned, 12) as [$sire, $dam, $now, $next]) {
            [$male, $female] = [$family->animal((int) CoreId::animal($sire->id)), $family->animal((int) CoreId::animal($dam->id))];
            $pairs[] = [
                'sire' => $sire->id, 'dam' => $dam->id, 'now' => $now->toString(), 'next' => $next->toString(),
                'ready' => max($season($sire), $season($dam)), 'serves' => $serves["{$sire->id} {$dam->id}"] ?? [],
            ] + ($male === null || $female === null ? [] : [
                'inbreeding' => $family->kinship($male, $female)->toString(),
                'stance' => PairingCheck::of($male, $female, $this->opened)->stance->value,
            ]);
        }

        return $pairs;
    }

    /**
     * Which other projects a pairing would bring on: their target at once, or young that carry all of it.
     *
     * @param  list<Founder>  $owned
     * @return array<string, list<string>> names by sire and dam
     */
    private function otherProjects(ProjectRecord $record, array $owned): array
    {
        $serves = [];
        /** @var ProjectRecord $other */
        foreach ($record->keeper->projects()->whereKeyNot($record->id)->orderByDesc('weight')->get() as $other) {
            try {
                $space = new Space($this->opened->shelf->catalogue(), ($this->project)($other->setRelation('keeper', $record->keeper)));
            } catch (DestinoError) {
                continue; // its own page says what is wrong with its target
            }
            foreach ((new PairFinder($space))->best($owned, 2000) as [$sire, $dam]) {
                $serves["{$sire->id} {$dam->id}"][] = $other->name;
            }
        }

        return $serves;
    }
}
