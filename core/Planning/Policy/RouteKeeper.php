<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Genome\Mask;
use Destino\Genome\Sex;
use Destino\Planning\Given\Founder;
use Destino\Planning\Phenotypes\Space;
use Destino\Planning\Search\Route;
use Destino\Planning\Search\RouteStep;

/**
 * A keeper who follows one route and does not change his mind: the crosses of the route and no others, those nearest to the target
 * first, each until as many of its young are kept as the route says. He sees what any keeper sees, and takes those that more
 * probably carry what is hidden before those whose clutches have spoken against it.
 */
final class RouteKeeper implements Keeper, TellsWhereItHung
{
    /** @var array<string, RouteStep> by key, the nearest to the target first */
    private array $steps = [];

    /** @var array<string, float> P(an egg that hatches is what a step wants), by step and types */
    private array $odds = [];

    /** @var array<string, bool> whether young of a type are what a step wants, by step and type */
    private array $fits = [];

    private readonly Space $space;

    public function __construct(private readonly Law $law, private readonly Route $route)
    {
        $this->space = $law->space;
        foreach (array_reverse($route->steps) as $step) {
            $this->steps[$step->key] = $step;
        }
    }

    public function mate(Situation $situation): array
    {
        $pairs = $served = [];
        foreach ($this->steps as $step) {
            if (! $step->isLast && $this->isSupplied($step, $situation->animals)) {
                continue;
            }
            $males = $this->able($situation, $step->sire, $step->sires, true);
            foreach ($this->females($situation, $step, $males) as $female) {
                $male = isset($served[$female->id]) ? null : $this->bestOf($males, $female, $step, $served);
                if ($male !== null) {
                    $pairs[] = [$male, $female];
                    $served[$male->id] = ($served[$male->id] ?? 0) + 1;
                    $served[$female->id] = 1;
                }
            }
        }

        return $pairs;
    }

    public function keep(Situation $situation, array $young): array
    {
        $kept = array_values(array_filter($situation->animals, static fn (Holding $one): bool => $one->isYoung));
        $byId = [];
        foreach ($situation->animals as $animal) {
            $byId[$animal->id] = $animal;
        }
        $tubs = $this->space->project->tubs ?? PHP_INT_MAX;
        foreach ($this->steps as $step) {
            foreach ($step->isLast ? [] : $young as $one) {
                if (count($kept) >= $tubs || $this->isSupplied($step, $kept)) {
                    break;
                }
                if ($one->keptFor === '' && $this->isOf($step, $byId, $one->parents) && $this->isWanted($step, $one)) {
                    $one->keptFor = $step->key;
                    $kept[] = $one;
                }
            }
        }

        return $kept;
    }

    public function whereItHung(Course $course): string
    {
        foreach ($this->route->steps as $step) {
            if ($step->isLast || $this->isAnyFor($step, $course->last)) {
                continue;
            }
            $end = new Situation($this->law->horizon, $course->last, $course->found);
            $isMated = $this->able($end, $step->sire, $step->sires, true) !== []
                && $this->able($end, $step->dam, $step->dams, false) !== [];

            return $isMated
                ? 'no '.($step->sex->value ?? 'young')." {$step->genes} hatches in time"
                : "{$step->sireGenes} × {$step->damGenes} is never mated in time";
        }
        $has = array_sum($course->found) > 0 ? 'the second animal of the target' : 'the target';

        return "the last pairing is made but {$has} does not hatch in time";
    }

    /** @param list<Holding> $animals */
    private function isAnyFor(RouteStep $step, array $animals): bool
    {
        return array_filter($animals, static fn (Holding $one): bool => $one->keptFor === $step->key) !== [];
    }

    /** @param list<Holding> $animals */
    private function isSupplied(RouteStep $step, array $animals): bool
    {
        return count(array_filter($animals, static fn (Holding $one): bool => $one->keptFor === $step->key)) >= $step->keep;
    }

    /**
     * @param string $node key of the step whose young they are
     * @param list<Founder> $founders empty where they are young
     * @return list<Holding> animals of a node that can breed in this season
     */
    private function able(Situation $situation, string $node, array $founders, bool $isMale): array
    {
        $able = [];
        foreach ($situation->animals as $animal) {
            if ($animal->from <= $situation->season && $animal->isMale === $isMale && $this->isAt($node, $founders, $animal)) {
                $able[] = $animal;
            }
        }

        return $able;
    }

    /** @param list<Founder> $founders */
    private function isAt(string $node, array $founders, Holding $animal): bool
    {
        if ($founders === []) {
            return $animal->keptFor === $node;
        }
        foreach ($founders as $founder) {
            if ($founder->id === $animal->id) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<string, Holding> $animals by id
     * @param array{string|null, string|null}|null $parents
     */
    private function isOf(RouteStep $step, array $animals, ?array $parents): bool
    {
        [$sire, $dam] = $parents === null ? [null, null] : [$animals[$parents[0] ?? ''] ?? null, $animals[$parents[1] ?? ''] ?? null];

        return $sire !== null && $dam !== null
            && $this->isAt($step->sire, $step->sires, $sire) && $this->isAt($step->dam, $step->dams, $dam);
    }

    /**
     * @param list<Holding> $males
     * @return list<Holding> females of a step, those of the best odds first
     */
    private function females(Situation $situation, RouteStep $step, array $males): array
    {
        $females = $males === [] ? [] : $this->able($situation, $step->dam, $step->dams, false);
        $best = [];
        foreach ($females as $female) {
            $best[$female->id] = 0.0;
            foreach ($males as $male) {
                $best[$female->id] = max($best[$female->id], $this->oddsOf($step, $male, $female));
            }
        }
        usort($females, static fn (Holding $a, Holding $b): int => $best[$b->id] <=> $best[$a->id]);

        return $females;
    }

    /**
     * @param list<Holding> $males
     * @param array<string, int> $served matings of this season by animal
     */
    private function bestOf(array $males, Holding $female, RouteStep $step, array $served): ?Holding
    {
        [$best, $most] = [null, null];
        foreach ($males as $male) {
            $matings = $served[$male->id] ?? 0;
            $own = [$this->oddsOf($step, $male, $female), -$matings]; // males alike share the females out
            if ($matings < $this->law->femalesPerMale && ($most === null || $own > $most)) {
                [$best, $most] = [$male, $own];
            }
        }

        return $best;
    }

    private function oddsOf(RouteStep $step, Holding $sire, Holding $dam): float
    {
        return $this->odds["{$step->key} {$sire->type} {$dam->type}"] ??= $this->oddsWith($step, $sire, $dam);
    }

    private function oddsWith(RouteStep $step, Holding $sire, Holding $dam): float
    {
        $pair = $this->law->types->pair($sire->type, $dam->type);
        $odds = $step->isLast ? $pair->hit : 0.0;
        foreach ($step->isLast ? [] : $pair->children as $type => $chance) {
            $odds += $this->looksAs($step, $type) ? $chance * $this->carries($type) : 0.0;
        }

        return round($odds, 9);
    }

    /** About P(it carries what it may carry of what is wanted): among young that look alike, how sure they are. */
    private function carries(int $type): float
    {
        $carries = 1.0;
        foreach ($this->law->types->askedGroups() as $group) {
            $wanted = $this->law->types->wanted($type, $group);
            $carries *= $wanted > 0.0 ? min(1.0, $wanted) : 1.0;
        }

        return $carries;
    }

    private function isWanted(RouteStep $step, Holding $young): bool
    {
        return ($step->sex === null || ($step->sex === Sex::Male) === $young->isMale) && $this->looksAs($step, $young->type);
    }

    private function looksAs(RouteStep $step, int $type): bool
    {
        return $this->fits["{$step->key} {$type}"] ??= $this->seen($this->law->types->looks($type)) === $this->seen($step->looks);
    }

    /**
     * @param list<int> $looks phenotypes by group
     * @return list<string> what is seen of them
     */
    private function seen(array $looks): array
    {
        $seen = [];
        /** @var list<Mask> $hiding */
        $hiding = [];
        foreach ($looks as $i => $look) {
            $table = $this->space->groups[$i];
            $seen[] = $table->seenOfLook($look, $hiding);
            $hiding = $table->canHide ? [...$hiding, ...$table->hides($look)] : $hiding;
        }

        return $seen;
    }
}
