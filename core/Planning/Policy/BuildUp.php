<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

use Destino\Planning\Given\Project;

/**
 * A keeper who joins what is wanted step by step and looks one season ahead: mates first the pairs whose young promise most, hits before
 * all, and keeps the young that carry most, some of each sex. He never gives up while anything is left to join, where looking far ahead
 * in expected numbers may find that nothing is worth a mating.
 */
final class BuildUp implements Promising
{
    /** What a gene counts that an animal lacks altogether, so that the others still count. Best of .003 to .08 on 40 drawn collections. */
    private const LACKING = .01;

    /** Weight of what two animals alike would give at a gene, against what the best mate would bring; best of .5 to .98 on the same. */
    private const ALIKE = .95;

    /** A hit counts so many times what the best promise of its young could be. */
    private const HIT = 1_000.0;

    /** Young that are kept where there is no limit of tubs. */
    private const KEPT = 16;

    /** What a pair costs, as Law::$work counts it. */
    private const WORK = 3;

    private readonly Project $project;

    /** @var array<int, float> by type */
    private array $promises = [];

    /** @var array<int, float> by pair of types */
    private array $worths = [];

    /** @var array<int, float> by pair of types */
    private array $together = [];

    public function __construct(private readonly Law $law)
    {
        $this->project = $law->space->project;
    }

    public function mate(Situation $situation): array
    {
        $served = $mated = $pairs = [];
        foreach ($this->promises($situation) as [$sire, $dam]) {
            if (! isset($mated[$dam->id]) && ($served[$sire->id] ?? 0) < $this->law->femalesPerMale) {
                $mated[$dam->id] = true;
                $served[$sire->id] = ($served[$sire->id] ?? 0) + 1;
                $pairs[] = [$sire, $dam];
            }
        }

        return $pairs;
    }

    public function promises(Situation $situation): array
    {
        $males = $females = [];
        foreach ($situation->animals as $animal) {
            if ($animal->from <= $situation->season) {
                $animal->isMale ? $males[] = $animal : $females[] = $animal;
            }
        }
        $this->law->work += self::WORK * count($males) * count($females);
        $wishes = [];
        foreach ($females as $f => $dam) {
            foreach ($males as $m => $sire) {
                $worth = $this->worthOf($situation, $sire, $dam);
                if ($worth > 0.0) { // of males alike the one that has proved least
                    $wishes[] = [$worth * (1 - 1e-7 * $sire->clutches), $f, $m];
                }
            }
        }
        usort($wishes, static fn (array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);

        return array_map(static fn (array $wish): array => [$males[$wish[2]], $females[$wish[1]], $wish[0]], $wishes);
    }

    public function keep(Situation $situation, array $young): array
    {
        $held = array_values(array_filter($situation->animals, static fn (Holding $animal): bool => $animal->isYoung));
        $all = [...$held, ...array_filter($young, fn (Holding $one): bool => $one->from <= $this->law->horizon)];
        $types = [];
        foreach ([...$situation->animals, ...$young] as $mate) {
            $types[$mate->type] = $mate->isMale;
        }
        $worths = $known = [];
        foreach ($all as $i => $one) {
            $known[$one->type] ??= $this->promise($one->type) + $this->withBestMate($one->type, $types);
            $worths[$i] = [$known[$one->type], -$one->from];
        }
        arsort($worths);
        $all = array_map(static fn (int $i): Holding => $all[$i], array_keys($worths));
        $most = $this->project->tubs ?? self::KEPT;
        $kept = $others = [];
        $count = [0, 0];
        foreach ($all as $one) { // at most a third males and two thirds females, so that both sexes are kept
            $sex = $one->isMale ? 0 : 1;
            if (count($kept) < $most && $count[$sex] < max(1, intdiv($one->isMale ? $most : 2 * $most, 3))) {
                $kept[] = $one;
                $count[$sex]++;
            } else {
                $others[] = $one;
            }
        }

        return [...$kept, ...array_slice($others, 0, $most - count($kept))];
    }

    /** How near an animal is to the target: at each gene the chance that two like it would give it, all of them together. */
    public function promise(int $type): float
    {
        if (! isset($this->promises[$type])) {
            $promise = 1.0;
            foreach ($this->law->types->looks($type) as $i => $look) {
                $group = $this->law->space->groups[$i];
                $alike = $group->holdsSex ? min(1.0, $group->wanted($look)) : $group->chanceOfMeeting($look, $look);
                $own = self::ALIKE * $alike + (1 - self::ALIKE) * $group->ceiling($look);
                $promise *= $group->asks() ? max(self::LACKING, $own) : max(.25, $own);
            }
            $this->promises[$type] = $promise;
        }

        return $this->promises[$type];
    }

    /**
     * How much of the target a young with the best mate would have, were each gene to come by itself.
     *
     * @param array<int, bool> $types of everybody, and whether it is a male
     */
    private function withBestMate(int $type, array $types): float
    {
        $best = 0.0;
        foreach ($types as $other => $isMale) {
            if ($isMale !== $this->law->types->isMale($type)) {
                $best = max($best, $this->together[min($type, $other) << 24 | max($type, $other)] ??= $this->together($type, $other));
            }
        }

        return $best;
    }

    private function together(int $one, int $other): float
    {
        $product = 1.0;
        $looks = $this->law->types->looks($other);
        foreach ($this->law->types->looks($one) as $i => $look) {
            $group = $this->law->space->groups[$i];
            $meets = $group->holdsSex
                ? min(1.0, ($group->wanted($look) + $group->wanted($looks[$i])) / 2)
                : $group->chanceOfMeeting($look, $looks[$i]);
            $product *= max(self::LACKING, $meets);
        }

        return $product;
    }

    private function worthOf(Situation $situation, Holding $sire, Holding $dam): float
    {
        $isTooClose = $this->law->kinship->isTooClose($sire, $dam);
        if (in_array([$sire->id, $dam->id], $this->project->forbidden, true)) {
            return 0.0;
        }
        $pair = $this->law->types->pair($sire->type, $dam->type);
        $key = $sire->type << 24 | $dam->type;
        if (! isset($this->worths[$key])) {
            $this->worths[$key] = 0.0;
            foreach ($pair->children as $child => $chance) {
                $this->worths[$key] += $chance * $this->promise($child);
            }
        }
        $isLate = $situation->season + $this->law->shortest > $this->law->horizon;
        $ofYoung = $isLate ? 0.0 : $this->worths[$key];
        $pinned = count($this->project->pinned);
        $behind = count(array_unique([...$sire->pins, ...$dam->pins]));
        $hit = $behind < $pinned || $isTooClose ? 0.0 : $this->hit($pair, $situation);

        return $this->project->soundOf($sire->id, $dam->id)
            * (self::HIT * $hit + ($pinned === 0 ? $ofYoung : $ofYoung * (.1 + $behind / $pinned)));
    }

    /** P(an egg that hatches is what is still lacking). */
    private function hit(Pair $pair, Situation $situation): float
    {
        $wanted = $this->project->wanted;
        $lacks = static fn (string $sex): bool => $situation->found[$sex] < $wanted[$sex];

        return $wanted['any'] > array_sum($situation->found) || (! $lacks('male') && ! $lacks('female'))
            ? $pair->hit
            : ($lacks('male') ? $pair->male : 0.0) + ($lacks('female') ? $pair->female : 0.0);
    }
}
