<?php

declare(strict_types=1);

namespace Destino\Planning\Policy;

/** Which young are kept: those that add most to the chance, and within the tubs those without whom most would be lost. */
final class Choosing
{
    /** A young that adds less than this to the chance is not kept for it. */
    private const LEAST_GAIN = 0.002;

    /** Of so many young and more each has to add more than that: nobody fills a house with what may help a little. */
    private const MANY = 24;

    /** Looking ahead in expected numbers is too hopeful: never less than so much is left to gain. */
    private const DOUBT = 0.05;

    /** Young beyond the tubs that are weighed one against the other. */
    private const CLOSE_CALLS = 3;

    /** The first of a kind is kept sooner: what is foreseen of others like it may not come. */
    private const FIRST_OF_ITS_KIND = 0.1;

    /** What the next of young alike is worth beside the one before. */
    private const ONE_MORE_MALE = 0.35;

    private const ONE_MORE_FEMALE = 0.92;

    public function __construct(private readonly Outlooks $outlooks, private readonly ?int $tubs) {}

    /**
     * Those that add most to the chance, each in sight of those that were chosen before.
     *
     * @param list<Holding> $candidates
     * @return list<Holding>
     */
    public function chosen(Situation $situation, array $candidates): array
    {
        $chosen = $this->round($situation, $situation->animals, $candidates);
        // What one more is worth depends on who is there: a male beside females without one, for instance.
        $left = static fn (array $chosen): array => array_values(
            array_filter($candidates, static fn (Holding $one): bool => ! in_array($one, $chosen, true)),
        );
        $chosen = [...$chosen, ...$this->round($situation, [...$situation->animals, ...$chosen], $left($chosen))];
        if ($left($chosen) === [] || ! $this->outlooks->of(new Situation($situation->season + 1, $situation->animals, $situation->found))->isScarce) {
            return $chosen;
        }

        return [...$chosen, ...$this->together($situation, $chosen, $left($chosen))];
    }

    /**
     * Where males are few a son and a daughter are worth something only together: those without whom something is lost of what
     * all of them would add.
     *
     * @param list<Holding> $chosen
     * @param list<Holding> $candidates
     * @return list<Holding>
     */
    private function together(Situation $situation, array $chosen, array $candidates): array
    {
        $beside = [...$situation->animals, ...$chosen];
        $whole = $this->hazardOf($situation, $beside, $candidates);
        $least = $this->leastGain($beside, $whole);
        $losses = $kept = [];
        foreach ($candidates as $i => $animal) {
            $losses["{$animal->type} {$animal->from}"] ??= $whole - $this->hazardOf($situation, $beside, array_diff_key($candidates, [$i => true]));
            if ($losses["{$animal->type} {$animal->from}"] >= $least) {
                $kept[] = $animal;
            }
        }

        return $kept;
    }

    /**
     * What one more has to add to the sum of hazards to be kept.
     *
     * @param list<Holding> $beside
     */
    private function leastGain(array $beside, float $hazard): float
    {
        $young = count(array_filter($beside, static fn (Holding $one): bool => $one->isYoung));

        return max(1.0, ($young / self::MANY) ** 2) * self::LEAST_GAIN / max(self::DOUBT, exp(-$hazard));
    }

    /**
     * @param list<Holding> $beside
     * @param list<Holding> $candidates
     * @return list<Holding>
     */
    private function round(Situation $situation, array $beside, array $candidates): array
    {
        if ($candidates === []) {
            return [];
        }
        $outlook = $this->outlooks->of(new Situation($situation->season + 1, $beside, $situation->found));
        $worths = [];
        foreach ($candidates as $i => $animal) {
            $worths[$i] = $outlook->worth($animal->type, $animal->from);
        }
        arsort($worths);
        $chosen = $alike = [];
        $here = array_flip(array_map(static fn (Holding $one): int => $one->type, $beside));
        $hazard = $outlook->hazard;
        foreach ($worths as $i => $worth) {
            $animal = $candidates[$i];
            $worth *= ($animal->isMale ? self::ONE_MORE_MALE : self::ONE_MORE_FEMALE) ** ($alike[$animal->type] ?? 0);
            $isNew = ! isset($here[$animal->type]) && ! isset($alike[$animal->type]);
            $least = $this->leastGain([...$beside, ...$chosen], $hazard);
            if ($worth >= ($isNew ? self::FIRST_OF_ITS_KIND * $least : $least)) {
                $chosen[] = $animal;
                $hazard += $worth;
                $alike[$animal->type] = ($alike[$animal->type] ?? 0) + 1;
            }
        }

        return $chosen;
    }

    /**
     * Those without whose kind most would be lost, of everybody that is there: a male and a female that need each other stay
     * together, which adding one by one would not see.
     *
     * @param list<Holding> $young
     * @return list<Holding>
     */
    public function withinTubs(Situation $situation, array $young): array
    {
        $tubs = (int) $this->tubs;
        if (count($young) <= $tubs) {
            return $young;
        }
        $others = array_values(array_filter($situation->animals, static fn (Holding $animal): bool => ! $animal->isYoung));
        $all = $this->withoutRepeats($young);
        $whole = $this->hazardOf($situation, $others, $all);
        $losses = $order = $taken = [];
        foreach ($all as $i => $animal) {
            $kind = $animal->type; // whenever it is ready: the earlier stand in for the later
            $losses[$kind] ??= $whole - $this->hazardOf(
                $situation, $others, array_filter($all, static fn (Holding $one): bool => $one->type !== $kind),
            );
            $order[$i] = $losses[$kind] * ($animal->isMale ? self::ONE_MORE_MALE : 0.7) ** ($taken[$kind] ?? 0);
            $taken[$kind] = ($taken[$kind] ?? 0) + 1;
        }
        arsort($order);
        $left = array_map(static fn (int $i): Holding => $all[$i], array_slice(array_keys($order), 0, $tubs + self::CLOSE_CALLS));
        while (count($left) > $tubs) { // among the last ones each is tried
            $without = [];
            foreach ($left as $i => $animal) {
                $without["{$animal->type} {$animal->from}"] ??= [
                    $this->hazardOf($situation, $others, array_diff_key($left, [$i => true])), $i,
                ];
            }
            rsort($without);
            $left = array_values(array_diff_key($left, [$without[0][1] => true]));
        }

        return $this->withBothSexes($left, $all, $order, $others);
    }

    /**
     * @param list<Holding> $others
     * @param array<int, Holding> $young
     */
    private function hazardOf(Situation $situation, array $others, array $young): float
    {
        return $this->outlooks->of(new Situation($situation->season + 1, [...$others, ...array_values($young)], $situation->found))->atBest();
    }

    /**
     * Where nobody else is of a sex, the last place goes to the best young of it.
     *
     * @param list<Holding> $kept the best first
     * @param array<int, Holding> $all
     * @param array<int, float> $order what each is worth, the best first
     * @param list<Holding> $others
     * @return list<Holding>
     */
    private function withBothSexes(array $kept, array $all, array $order, array $others): array
    {
        foreach ([true, false] as $isMale) {
            $isOf = static fn (Holding $animal): bool => $animal->isMale === $isMale;
            if (count($kept) > 1 && array_filter([...$kept, ...$others], $isOf) === []) {
                foreach (array_keys($order) as $i) {
                    if ($isOf($all[$i])) {
                        $kept[count($kept) - 1] = $all[$i];

                        break;
                    }
                }
            }
        }

        return $kept;
    }

    /**
     * @param list<Holding> $young
     * @return list<Holding> of those that are alike no more than can matter, the earliest first
     */
    private function withoutRepeats(array $young): array
    {
        usort($young, static fn (Holding $a, Holding $b): int => $a->from <=> $b->from);
        $counts = [];
        $left = [];
        foreach ($young as $animal) {
            $kind = $animal->type;
            $counts[$kind] = ($counts[$kind] ?? 0) + 1;
            if ($counts[$kind] <= min((int) $this->tubs, $animal->isMale ? 2 : 3)) {
                $left[] = $animal;
            }
        }

        return $left;
    }
}
