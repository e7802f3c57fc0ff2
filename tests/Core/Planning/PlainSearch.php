<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Destino\Genome\Sex;
use Destino\Planning\Phenotypes\Space;

/** Every way of up to three generations, without any pruning: what a clever search must agree with. */
final class PlainSearch
{
    public function __construct(private readonly Space $space) {}

    /** The earliest expected season of the target. */
    public function least(): float
    {
        $animals = [];
        foreach ($this->space->project->founders as $founder) {
            $animals[] = [
                $this->space->looksOf($founder), $founder->sex,
                (float) $this->space->project->assumptions->firstSeason($founder->sex === Sex::Male, $founder->months, $founder->grams),
            ];
        }
        $least = INF;
        for ($generation = 0; $generation < 3; $generation++) {
            $young = [];
            foreach ($animals as [$sire, $sex, $ready]) {
                foreach ($sex === Sex::Male ? $animals : [] as [$dam, $damSex, $damReady]) {
                    if ($damSex === Sex::Female) {
                        $least = min($least, $this->cross($sire, $dam, max($ready, $damReady), $young));
                    }
                }
            }
            foreach ($animals as [$looks, $sex, $ready]) {
                $key = implode('.', $looks).$sex->value;
                $young[$key] = min($young[$key] ?? INF, $ready);
            }
            $animals = array_map(
                static fn (string $key, float $ready): array => [
                    array_map(intval(...), explode('.', (string) preg_replace('/[a-z]+$/', '', $key))),
                    str_ends_with($key, 'female') ? Sex::Female : Sex::Male, $ready,
                ],
                array_keys($young), $young,
            );
        }

        return $least;
    }

    /**
     * @param list<int> $sire
     * @param list<int> $dam
     * @param array<string, float> $young least readiness by looks and sex
     */
    private function cross(array $sire, array $dam, float $from, array &$young): float
    {
        $combinations = [[[], 1.0, null]];
        foreach ($this->space->groups as $i => $group) {
            $longer = [];
            foreach ($combinations as [$looks, $chance, $sex]) {
                foreach ($group->cross($sire[$i], $dam[$i]) as [$look, , $p, $own]) {
                    $longer[] = [[...$looks, $look], $chance * $p, $sex ?? $own];
                }
            }
            $combinations = $longer;
        }
        $hit = 0.0;
        $wanted = $this->space->project->target->sex;
        foreach ($combinations as [$looks, $chance, $own]) {
            $hit += $chance * $this->space->accepted($looks, $own ?? $wanted ?? Sex::Male)
                ->toFloat() * ($own === null && $wanted !== null ? .5 : 1.0);
            foreach ($own === null ? [Sex::Male, Sex::Female] : [$own] as $sex) {
                $key = implode('.', $looks).$sex->value;
                $ready = $from + 1 / $this->space->perSeason(
                    $own === null ? $chance / 2 : $chance, 1,
                ) - 1 + $this->space->project->assumptions
                    ->seasonsToGrow($sex === Sex::Male);
                $young[$key] = min($young[$key] ?? INF, $ready);
            }
        }

        return $hit > 0 ? $from + 1 / $this->space->perSeason($hit, 1) - 1 : INF;
    }
}
