<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Given\Project;
use Destino\Planning\Play\Outcome;

/** What an answer means for this season: pairs and their worth, which young to keep, what else could be paired. */
final readonly class SeasonAdvice
{
    private const MOST_MATINGS_PLAYED = 6;

    /** Pairings that are named as possible. */
    private const MOST_POSSIBLE = 240;

    private Law $law;

    private Project $project;

    public function __construct(private Simulation $simulation, private LookAhead $keeper, private BuildUp $builder)
    {
        $this->law = $simulation->law();
        $this->project = $simulation->law()->space->project;
    }

    /** The keeper that the answer has. */
    private function best(): Promising
    {
        return $this->simulation->first()->buildsUp ? $this->builder : $this->keeper;
    }

    /**
     * @param list<Founder> $bought
     * @return list<Mating>
     */
    public function matings(Keeper $keeper, Situation $start, array $bought, Outcome $outcome, int $seed, int $work): array
    {
        $pairs = $keeper->mate($start);
        $promises = [];
        foreach ($this->best()->promises($start) as [$sire, $dam, $worth]) {
            $promises["{$sire->id} {$dam->id}"] = $worth;
        }
        $runs = $work === 0
            ? 0
            : min($outcome->runs, $this->simulation->affordable($this->simulation->playing($bought), $outcome->runs, $seed,
                intdiv($work, max(1, count($pairs))), 1));
        $isPlayed = $runs >= min($outcome->runs, Simulation::FEWEST_COMPARED) && $runs > 0 && count($pairs) <= self::MOST_MATINGS_PLAYED;
        $with = $isPlayed ? $this->simulation->playing($bought, $keeper)->seasons($runs, $seed) : [];
        $matings = [];
        foreach ($pairs as [$sire, $dam]) {
            $without = $isPlayed ? $this->simulation->playing($bought, new Otherwise($keeper, $sire->id, $dam->id))->seasons($runs, $seed)
                : [];
            $lost = $isPlayed ? Comparison::difference($with, $without) : [null, 0.0];
            $later = $isPlayed ? Comparison::sooner($with, $without, $this->law->horizon) : [0.0, 0.0];
            $pair = $this->law->types->pair($sire->type, $dam->type);
            $matings[] = new Mating(
                $sire->id, $dam->id, $pair->hit, $lost[0], $lost[1],
                $promises["{$sire->id} {$dam->id}"] ?? 0.0, ...$later,
            );
        }
        usort(
            $matings, static fn (Mating $a, Mating $b): int => [$b->worth, $b->sooner, $b->hazard] <=> [$a->worth, $a->sooner, $a->hazard],
        );

        return $matings;
    }

    /** @return list<Mating> pairings of owned animals that could be made now, the worthiest first */
    public function possible(): array
    {
        $start = new Situation(1, $this->simulation->playing([])->start(), ['male' => 0, 'female' => 0]);

        return array_map(fn (array $promise): Mating => new Mating(
            $promise[0]->id, $promise[1]->id, $this->law->types->pair($promise[0]->type, $promise[1]->type)->hit, null, 0.0, $promise[2],
        ), array_slice($this->best()->promises($start), 0, self::MOST_POSSIBLE));
    }

    /**
     * @param list<Mating> $matings
     * @return list<Keep>
     */
    public function young(Situation $start, array $matings): array
    {
        $byId = [];
        foreach ($start->animals as $animal) {
            $byId[$animal->id] = $animal;
        }
        $expected = $parents = [];
        foreach ($matings as $mating) {
            $young = $this->law->young * $this->project->soundOf($mating->sire, $mating->dam);
            foreach ($this->law->types->pair($byId[$mating->sire]->type, $byId[$mating->dam]->type)->children as $child => $chance) {
                $expected[$child] = ($expected[$child] ?? 0.0) + $young * $chance;
                $parents[$child] ??= [$mating->sire, $mating->dam];
            }
        }
        $young = [];
        foreach (array_keys($expected) as $type) {
            $isMale = $this->law->types->isMale($type);
            $from = 1 + ($isMale ? $this->law->maleDelay : $this->law->femaleDelay);
            if ($from <= $this->law->horizon) {
                $id = Young::name($parents[$type][0], $parents[$type][1], 1, $type);
                $young[] = new Holding($id, $type, $isMale, $from, true, [], $parents[$type]);
            }
        }

        return $this->simulation->first()->buildsUp ? $this->inOrder($start, $young, $expected) : $this->byWorth($start, $young, $expected);
    }

    /**
     * Young of one who builds up: to keep are as many as are likely to fill the tubs.
     *
     * @param list<Holding> $young
     * @param array<int, float> $expected by type
     * @return list<Keep>
     */
    private function inOrder(Situation $start, array $young, array $expected): array
    {
        $tubs = min($this->simulation->first()->effort->tubs ?? BuildUp::KEPT, $this->project->tubs ?? BuildUp::KEPT);
        $before = 0.0;
        $all = [];
        foreach ($this->builder->best($start, $young, count($young)) as $one) {
            $all[] = $this->told($one, $expected[$one->type], $this->builder->promise($one->type), $before < $tubs);
            $before += $expected[$one->type];
        }

        return $all;
    }

    /**
     * @param list<Holding> $young
     * @param array<int, float> $expected by type
     * @return list<Keep>
     */
    private function byWorth(Situation $start, array $young, array $expected): array
    {
        $kept = array_map(static fn (Holding $one): int => $one->type, $this->keeper->keep($start, $young));
        $outlook = $this->keeper->outlook(new Situation(min(2, $this->law->horizon), $start->animals, $start->found));
        $all = array_map(fn (Holding $one): Keep => $this->told(
            $one, $expected[$one->type], $outlook->worth($one->type, $one->from), in_array($one->type, $kept, true),
        ), $young);
        usort($all, static fn (Keep $a, Keep $b): int => [$b->isKept, $b->worth] <=> [$a->isKept, $a->worth]);

        return $all;
    }

    private function told(Holding $one, float $expected, float $worth, bool $isKept): Keep
    {
        $genes = $this->law->space->text($this->law->types->looks($one->type));

        return new Keep($genes, $one->isMale ? Sex::Male : Sex::Female, $expected, $worth, $isKept);
    }
}
