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

    /** What a young counts that breeds a season later; best of .3 to 1 on 24 drawn collections and for few tubs. */
    private const WAIT = .6;

    /** Young have to promise so much of what the least of those kept promises, where the tubs are full; from .5 to .9 nothing changes. */
    private const NO_LESS = .9;

    /** A hit counts so many times what the best promise of its young could be. */
    private const HIT = 1_000.0;

    /** Young that are kept where there is no limit of tubs. */
    public const KEPT = 16;

    /** What a pair costs, as Law::$work counts it. */
    private const WORK = 3;

    private readonly Project $project;

    /** @var array<int, float> by type */
    private array $promises = [];

    /** Pairs of types that are remembered, of up to a kilobyte each. */
    private const REMEMBERED = 18_000;

    /**
     * By pair of types: promises of their young with the chances, the best first; P(a male hit), P(a female hit).
     *
     * @var array<int, array{list<array{float, float}>, float, float}>
     */
    private array $worths = [];

    /** @var array<int, float> by pair of types */
    private array $together = [];

    public function __construct(private readonly Law $law, private readonly Effort $effort = new Effort)
    {
        $this->project = $law->space->project;
    }

    public function mate(Situation $situation): array
    {
        return MateAssignment::of($this->promises($situation), $this->law->femalesPerMale, $this->effort->clutches ?? PHP_INT_MAX);
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
        $held = $this->least($situation);
        $wishes = $ofYoung = [];
        foreach ($females as $f => $dam) {
            foreach ($males as $m => $sire) {
                $types = $sire->type << 24 | $dam->type;
                $ofYoung[$types] ??= $this->worthOfYoung($situation, $types, $held);
                $worth = $situation->isWithout($sire, $dam) ? 0.0 : $this->worthOf($situation, $sire, $dam, $ofYoung[$types]);
                if ($worth > 0.0) { // of males alike the one that has proved least, and of pairs alike the unrelated one
                    $wishes[] = [$worth * (1 - 1e-7 * $sire->clutches) * Kinship::price($sire, $dam), $f, $m];
                }
            }
        }
        usort($wishes, static fn (array $a, array $b): int => [$b[0], $a[1], $a[2]] <=> [$a[0], $b[1], $b[2]]);

        return array_map(static fn (array $wish): array => [$males[$wish[2]], $females[$wish[1]], $wish[0]], $wishes);
    }

    public function keep(Situation $situation, array $young): array
    {
        $most = $this->most();
        $held = array_filter($situation->animals, static fn (Holding $one): bool => $one->isYoung);

        return $this->best($situation, [...$held, ...$young], $most);
    }

    /**
     * Young in the order in which they are kept: each by what it promises beside the founders and those before it.
     *
     * @param list<Holding> $young
     * @param int $most to keep
     * @return list<Holding>
     */
    public function best(Situation $situation, array $young, int $most): array
    {
        $all = array_filter($young, fn (Holding $one): bool => $one->from <= $this->law->horizon);
        $mates = $kept = $kinds = $together = [];
        foreach ($situation->animals as $one) {
            if (! $one->isYoung) {
                $mates[$this->kindOf($one)] = $one;
            }
        }
        foreach ($all as $one) {
            $kinds[$this->kindOf($one)] ??= $one;
        }
        foreach ($kinds as $kind => $one) {
            $together[$kind] = $this->withBestMate($one, $mates);
        }
        // Of three and more a third males and two thirds females, so that both sexes are kept.
        $left = $most < 3 ? [$most, $most] : [intdiv($most, 3), intdiv(2 * $most, 3)];
        while ($all !== [] && count($kept) < $most) {
            $best = $this->bestOf($all, $together, $left, $situation->season + 1);
            $one = $all[$best];
            unset($all[$best]);
            $kept[] = $one;
            $left[$one->isMale ? 0 : 1]--;
            if (! isset($mates[$this->kindOf($one)])) {
                $mates[$this->kindOf($one)] = $one;
                foreach ($kinds as $kind => $other) {
                    $together[$kind] = max($together[$kind], $this->withBestMate($other, [$one]));
                }
            }
        }

        return $kept;
    }

    /** Animals of one kind are worth the same: of one type, and of one litter where it matters who is related to whom. */
    private function kindOf(Holding $one): int|string
    {
        if ($this->project->mostInbreeding === null) {
            return $one->type;
        }

        return $one->type.' '.($one->isYoung ? implode('×', $one->parents ?? [$one->id]) : $one->id);
    }

    /**
     * @param array<int, Holding> $all
     * @param array<array-key, float> $together what each kind promises with its best mate of those that stay
     * @param array{int, int} $left males and females that are still wanted for the sake of their sex
     * @return int key of the young that promises most beside those that stay, the earlier ones first
     */
    private function bestOf(array $all, array $together, array $left, int $next): int
    {
        $best = null;
        foreach ($all as $i => $one) {
            $worth = ($this->promise($one->type) + $together[$this->kindOf($one)]) * self::WAIT ** max(0, $one->from - $next);
            $own = [$left[$one->isMale ? 0 : 1] > 0, $worth, -$one->from];
            if ($best === null || $own > $best[0]) {
                $best = [$own, $i];
            }
        }

        return $best[1] ?? 0;
    }

    /** How near an animal is to the target: at each gene the chance that two like it would give it, all of them together. */
    public function promise(int $type): float
    {
        if (! isset($this->promises[$type])) {
            $promise = 1.0;
            $looks = $this->law->types->looks($type);
            foreach ($looks as $i => $look) {
                $group = $this->law->space->groups[$i];
                $alike = $group->holdsSex ? min(1.0, $group->wanted($look)) : $group->chanceOfMeeting($look, $look);
                $own = self::ALIKE * $alike + (1 - self::ALIKE) * $group->ceiling($look);
                $promise *= $group->asks() ? max(self::LACKING, $own) : max(.25, $own);
            }
            $this->promises[$type] = $promise * $this->ofChoices($looks, $looks);
        }

        return $this->promises[$type];
    }

    /**
     * How much of the target a young with the best mate would have, were each gene to come by itself.
     *
     * @param array<array-key, Holding> $mates those that are too closely related to be its mates among them
     */
    private function withBestMate(Holding $one, array $mates): float
    {
        $best = 0.0;
        foreach ($mates as $mate) {
            if ($mate->isMale !== $one->isMale) {
                $types = min($one->type, $mate->type) << 24 | max($one->type, $mate->type);
                $worth = $this->together[$types] ??= $this->together($one->type, $mate->type);
                $isBetter = $worth > $best && ! $this->law->kinship->isTooClose($one->isMale ? $one : $mate, $one->isMale ? $mate : $one);
                $best = $isBetter ? $worth : $best;
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

        return $product * $this->ofChoices($this->law->types->looks($one), $looks);
    }

    /**
     * How much of the choices of the target a young of two would have: a gene that is lacking counts a little here as well.
     *
     * @param list<int> $one phenotypes by group
     * @param list<int> $other
     */
    private function ofChoices(array $one, array $other): float
    {
        $space = $this->law->space;
        if (! $space->choices->isAny()) {
            return 1.0;
        }
        $chances = array_fill_keys(array_keys($space->choices->options), 1.0);
        foreach ($space->groups as $i => $group) {
            foreach ($group->optionChances($one[$i], $other[$i]) as $option => $chance) {
                $chances[$option] *= max(self::LACKING, $chance);
            }
        }

        return $space->choices->independently($chances);
    }

    private function worthOf(Situation $situation, Holding $sire, Holding $dam, float $ofYoung): float
    {
        if ($this->project->forbidden !== [] && in_array([$sire->id, $dam->id], $this->project->forbidden, true)) {
            return 0.0;
        }
        [, $male, $female] = $this->worths[$sire->type << 24 | $dam->type] ?? $this->youngOf($sire->type, $dam->type);
        if ($ofYoung <= 0.0 && $male + $female <= 0.0) {
            return 0.0;
        }
        $pinned = count($this->project->pinned);
        $behind = $pinned === 0 ? 0 : count(array_unique([...$sire->pins, ...$dam->pins]));
        $isCounted = $male + $female > 0.0 && $behind === $pinned && ! $this->law->kinship->isTooClose($sire, $dam);
        $hit = $isCounted ? $this->hit($male, $female, $situation) : 0.0;

        return $this->project->soundOf($sire->id, $dam->id)
            * (self::HIT * $hit + ($pinned === 0 ? $ofYoung : $ofYoung * (.1 + $behind / $pinned)));
    }

    /** What the young of two types promise beyond the least of those kept, on average. */
    private function worthOfYoung(Situation $situation, int $types, float $held): float
    {
        [$young] = $this->worths[$types] ?? $this->youngOf($types >> 24, $types & 0xFFFFFF);
        $isLate = $situation->season + $this->law->shortest > $this->law->horizon;
        $ofYoung = 0.0;
        foreach ($isLate ? [] : $young as [$promise, $chance]) {
            if ($promise <= $held) {
                break;
            }
            $ofYoung += $chance * ($promise - $held);
        }

        return $ofYoung;
    }

    private function most(): int
    {
        return min($this->effort->tubs ?? self::KEPT, $this->project->tubs ?? self::KEPT);
    }

    /** What the least of the young that are kept promises, where the tubs are full: a young that promises no more adds nothing. */
    private function least(Situation $situation): float
    {
        $promises = [];
        foreach ($situation->animals as $one) {
            if ($one->isYoung) {
                $promises[] = self::NO_LESS * $this->promise($one->type);
            }
        }

        return $promises === [] || count($promises) < $this->most() ? 0.0 : min($promises);
    }

    /** @return array{list<array{float, float}>, float, float} as $worths has them */
    private function youngOf(int $sire, int $dam): array
    {
        $pair = $this->law->types->pair($sire, $dam);
        $young = [];
        foreach ($pair->children as $child => $chance) {
            $key = (string) $this->promise($child);
            $young[$key] = [$this->promise($child), $chance + ($young[$key][1] ?? 0.0)];
        }
        rsort($young);
        if (count($this->worths) >= self::REMEMBERED) {
            $this->worths = [];
        }

        return $this->worths[$sire << 24 | $dam] = [$young, $pair->male, $pair->female];
    }

    /** P(an egg that hatches is what is still lacking). */
    private function hit(float $male, float $female, Situation $situation): float
    {
        $wanted = $this->project->wanted;
        $lacks = static fn (string $sex): bool => $situation->found[$sex] < $wanted[$sex];

        return $wanted['any'] > array_sum($situation->found) || (! $lacks('male') && ! $lacks('female'))
            ? $male + $female
            : ($lacks('male') ? $male : 0.0) + ($lacks('female') ? $female : 0.0);
    }
}
