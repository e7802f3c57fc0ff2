<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\CoreId;
use App\Collection\Opened;
use App\Collection\Relatives;
use App\Models\Animal;
use App\Models\Clutch as ClutchRecord;
use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Identification\Clutch;
use Destino\Identification\Cue;
use Destino\Identification\Hatchling;
use Destino\Inference\Conclusions\Kindred;
use Destino\Inference\Evidence\InferenceError;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/** A clutch as the core identifies it: the parents as they are known without it, its young with all that their family records of them. */
class GivenClutch
{
    /**
     * @param array<int, Animal> $hatchlings
     * @param array<string, Cue> $cues
     */
    public function __construct(
        private readonly ClutchRecord $clutch,
        private readonly array $hatchlings,
        private readonly array $cues,
        private readonly Opened $opened,
    ) {}

    /** @throws DestinoError */
    public function clutch(): Clutch
    {
        $kin = $this->opened->beliefs()->kin;
        $recorded = $kin->kindred();
        $without = $kin->without([$this->clutch->id]);
        $young = array_map(fn (Animal $animal): Hatchling => $this->young($animal, $recorded), array_values($this->hatchlings));

        return new Clutch($this->prior($without, $this->clutch->dam_id, Sex::Female), $this->sires($without), $young, $this->counts());
    }

    /**
     * @return non-empty-list<array{id: string, belief: Belief|null, weight: Rational}> males by their ids in the family
     *
     * @throws BenchError where none is recorded
     */
    private function sires(Kindred $without): array
    {
        $sires = [];
        foreach ($this->opened->beliefs()->kin->siresOf($this->clutch->id) as [$id, $weight]) {
            $sires[] = [
                'id' => $id ?? '', 'weight' => $weight,
                'belief' => $id === null ? null : $this->prior($without, (int) CoreId::animal($id), Sex::Male),
            ];
        }
        $isKnown = array_filter($sires, fn (array $sire): bool => $sire['belief'] !== null) !== [];

        return $isKnown && $sires !== [] ? $sires : throw BenchError::noSire();
    }

    /** @return list<array{saw: Target, count: int, dead: bool}> */
    private function counts(): array
    {
        $tally = $this->opened->beliefs()->kin->tallyOf($this->clutch->id);
        $counts = [];
        foreach ($this->clutch->counts()->get() as $count) {
            $target = $this->target($count->saw);
            $number = $count->dead ? (int) $count->count : ($tally->counts[$count->id] ?? 0);
            if ($target !== null && $number > 0) {
                $counts[] = ['saw' => $target, 'count' => $number, 'dead' => (bool) $count->dead];
            }
        }

        return $counts;
    }

    /**
     * What is believed of a parent without this clutch. A tap on the bench does not change it, so it is kept: one entry for each
     * parent.
     */
    private function prior(Kindred $without, int $id, Sex $sex): Belief
    {
        $family = $without->familyOf(CoreId::of($id));
        if ($family === null) {
            return $this->opened->beliefs()->beforehand($id);
        }
        $name = "bench:{$this->clutch->id}:{$id}";
        $content = hash('xxh128', $this->opened->beliefs()->kin->about().$without->wholeContentOf($family));
        $kept = $this->opened->kept->get($name);
        if (! is_array($kept) || $kept['content'] !== $content) {
            $kept = ['content' => $content, 'factors' => serialize($this->factors($without, $family, CoreId::of($id)))];
            $this->opened->kept->put($name, $kept);
        }
        $factors = unserialize($kept['factors']);

        return $factors === [] ? $this->opened->beliefs()->beforehand($id) : new Belief($sex, $factors);
    }

    /** @return list<JointBelief> */
    private function factors(Kindred $without, int $family, string $id): array
    {
        $factors = [];
        foreach ($without->groupSetsOf($family) as $groups) {
            $states = $without->posterior($family, $groups)->of[$id] ?? null;
            if ($states !== null) {
                $keys = array_map(fn (LinkageGroup $group): string => $group->key, $groups);
                $factors[] = new JointBelief($keys, Relatives::readable($states));
            }
        }

        return $factors;
    }

    /** @throws InferenceError where its family is left out */
    private function young(Animal $animal, Kindred $recorded): Hatchling
    {
        $cues = [];
        foreach ($animal->sightings as $sighting) { // in order: the latest counts
            $cue = $sighting->who === null ? $this->cues[$sighting->cue] ?? null : null;
            $state = $cue?->find($sighting->state);
            if ($cue !== null && $state !== null) {
                $cues[$cue->key] = $state;
            }
        }

        return new Hatchling(
            (string) $animal->id, $animal->sex, $animal->daysOld($this->clutch), cues: $cues,
                recorded: $recorded->animal(CoreId::of($animal->id)),
        );
    }

    private function target(string $text): ?Target
    {
        try {
            return $this->opened->shelf->targets()->read($text);
        } catch (DestinoError) {
            return null; // its own page says that it cannot be read
        }
    }
}
