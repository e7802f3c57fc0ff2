<?php

declare(strict_types=1);

namespace App\Projects;

use App\Collection\Opened;
use Destino\Documents\ProjectDocument;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Phenotypes\Space;
use Destino\Probability\Rational;
use Destino\Probability\Weights;

/** All that a plan follows from. */
final readonly class PlanInput
{
    public function __construct(private Opened $opened) {}

    /** @return array{input: string, given: array<string, mixed>, version: string} so that a plan can be made again as it was */
    public function madeFrom(Project $project): array
    {
        return [
            'input' => $this->of($project), 'given' => ProjectDocument::of($project),
            'version' => mb_substr($this->opened->shelf->version, 0, 40),
        ];
    }

    /** Equal where nothing has changed that a plan is made from: what is believed of animals at the genes that it asks about. */
    public function of(Project $project): string
    {
        $groups = Space::groupsOf($this->opened->shelf->catalogue(), $project);

        return hash('xxh128', serialize([
            $project->target->text, $project->horizon, $project->budget, $project->tubs, $project->wanted, $project->forbidden,
            $project->keep, $project->pinned, $project->mostInbreeding?->toString(), $project->sure, $project->stances, $project->sound,
            $project->aim->toArray(),
            $project->assumptions->toArray(),
            array_map(
                fn (Founder $founder): array => [
                    $founder->id, $founder->sex->value, self::believed($founder, $groups), $founder->price, $founder->sire, $founder->dam,
                    // A weight or an age counts by the season in which it can breed.
                    max($founder->from, $project->assumptions->firstSeason($founder->sex === Sex::Male, $founder->months, $founder->grams)),
                ],
                $project->founders,
            ),
            $this->opened->shelf->fingerprint(),
        ]));
    }

    /**
     * @param list<LinkageGroup> $groups
     * @return list<array<array-key, string>> P(genotype) by its key, group by group
     */
    private static function believed(Founder $founder, array $groups): array
    {
        $believed = [];
        foreach ($groups as $group) {
            $chances = new Weights;
            foreach ($founder->belief->statesOver([$group]) as [$state, $p]) {
                $chances->add($state->key, null, $p);
            }
            $sums = array_map(fn (Rational $p): string => $p->toString(), $chances->sums());
            ksort($sums);
            $believed[] = $sums;
        }

        return $believed;
    }
}
