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

    /** The first of a kind is kept sooner: what is foreseen of others like it may not come. */
    private const FIRST_OF_ITS_KIND = 0.1;

    /** What the next of young alike is worth beside the one before. */
    public const ONE_MORE_MALE = 0.35;

    private const ONE_MORE_FEMALE = 0.92;

    public function __construct(private readonly Outlooks $outlooks) {}

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
        if ($left($chosen) === []
            || ! $this->outlooks->of(new Situation($situation->season + 1, $situation->animals, $situation->found))->isScarce) {
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
        $whole = $this->outlooks->hazardOf($situation, $beside, $candidates);
        $least = $this->leastGain($beside, $whole);
        $losses = $kept = [];
        foreach ($candidates as $i => $animal) {
            $losses["{$animal->type} {$animal->from}"] ??= $whole - $this->outlooks->hazardOf($situation, $beside,
                array_diff_key($candidates, [$i => true]));
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
}
