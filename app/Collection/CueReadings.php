<?php

declare(strict_types=1);

namespace App\Collection;

use App\Catalogue\CatalogueShelf;
use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Identification\Glimpsing;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\Individual;

/** What the cues that were read at animals say of them: judged by what is believed of each without any cue. */
final class CueReadings
{
    public function __construct(private readonly Records $records, private readonly CatalogueShelf $shelf) {}

    /**
     * @param array<string, Individual> $individuals
     * @param list<int> $clutches that are left out, their young's cues with them
     * @return array<string, Individual> animals of which cues were read, each with what these say
     */
    public function of(Kindred $without, array $individuals, array $clutches): array
    {
        $glimpsing = new Glimpsing($this->shelf->catalogue());
        $found = [];
        foreach ($this->records->sightings as $id => $read) {
            $one = $individuals["a{$id}"] ?? null;
            if ($one === null || in_array($this->records->animals[$id]['clutch_id'], $clutches, true)) {
                continue;
            }
            $seen = $days = [];
            foreach ($read as $key => [$state, $age]) {
                $cue = $this->shelf->cues()[$key] ?? null;
                if ($cue !== null && in_array($state, $cue->states, true)) {
                    [$seen[$key], $days[$key]] = [$cue->state($state), $age];
                }
            }
            $belief = $seen === [] ? null : $this->beliefWithin($without, $one);
            $glimpses = $belief === null ? null : $glimpsing->of($this->shelf->cues(), $seen, $belief, $days);
            $glimpses === null ?: $found["a{$id}"] = $one->seenSo($glimpses);
        }

        return $found;
    }

    private function beliefWithin(Kindred $kindred, Individual $one): ?Belief
    {
        $family = $kindred->familyOf($one->id);
        $factors = [];
        foreach ($family === null ? [] : $kindred->groupSetsOf($family) as $groups) {
            $states = $kindred->posterior($family, $groups)->of[$one->id] ?? null;
            if ($states !== null) {
                $keys = array_map(fn (LinkageGroup $group): string => $group->key, $groups);
                $factors[] = new JointBelief($keys, Relatives::readable($states));
            }
        }

        return $factors === [] ? null : new Belief($one->sex ?? Sex::Female, $factors);
    }
}
