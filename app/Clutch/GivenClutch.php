<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Clutch as ClutchRecord;
use App\Models\ClutchSire;
use App\Models\Statement;
use Destino\DestinoError;
use Destino\Genome\Belief;
use Destino\Genome\JointBelief;
use Destino\Genome\LinkageGroup;
use Destino\Genome\Sex;
use Destino\Identification\Clutch;
use Destino\Identification\Cue;
use Destino\Identification\Hatchling;
use Destino\Inference\Conclusions\Kindred;
use Destino\Notation\Target;
use Destino\Probability\Rational;

/** A clutch as the core identifies it: the parents as they are known without it, and what was seen of its young. */
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
        $kindred = $this->opened->beliefs()->kin->without([$this->clutch->id]);
        $sires = [];
        foreach ($this->clutch->sires as $sire) {
            if ($sire->animal !== null) {
                $sires[] = [
                    'id' => (string) $sire->animal->id, 'belief' => $this->prior($kindred, $sire->animal->id, Sex::Male),
                    'weight' => $this->weight($sire),
                ];
            }
        }
        if ($sires === []) {
            throw BenchError::noSire();
        }
        $tally = $this->opened->beliefs()->kin->tallyOf($this->clutch->id);
        $counts = [];
        foreach ($this->clutch->counts()->get() as $count) {
            $target = $count->dead ? null : $this->target($count->saw);
            $number = $count->dead ? 0 : ($tally->counts[$count->id] ?? 0);
            if ($target !== null && $number > 0) {
                $counts[] = ['saw' => $target, 'count' => $number];
            }
        }

        return new Clutch(
            $this->prior($kindred, $this->clutch->dam_id, Sex::Female), $sires,
            array_values(array_map($this->young(...), $this->hatchlings)), $counts, $this->alike(),
        );
    }

    /** Kept sperm weighs what the keeper gives it; the males of this season share the rest. */
    private function weight(ClutchSire $sire): Rational
    {
        $kept = $this->clutch->sires->whereNotNull('kept');
        $fresh = $this->clutch->sires->count() - $kept->count();

        return match (true) {
            $kept->isEmpty() => Rational::one(),
            $sire->kept !== null => Rational::of(max(1, $sire->kept), 100),
            default => Rational::of(max(1, 100 - (int) $kept->sum('kept')), 100 * max(1, $fresh)),
        };
    }

    /** What is believed of a parent without this clutch. */
    private function prior(Kindred $kindred, int $id, Sex $sex): Belief
    {
        $family = $kindred->familyOf("a{$id}");
        if ($family === null) {
            return $this->opened->beliefs()->beforehand($id);
        }
        $factors = [];
        foreach ($kindred->groupSetsOf($family) as $groups) {
            $states = $kindred->posterior($family, $groups)->of["a{$id}"] ?? null;
            if ($states !== null) {
                $factors[] = new JointBelief(array_map(static fn (LinkageGroup $group): string => $group->key, $groups), $states);
            }
        }

        return $factors === [] ? $this->opened->beliefs()->beforehand($id) : new Belief($sex, $factors);
    }

    private function young(Animal $animal): Hatchling
    {
        $cues = [];
        foreach ($animal->sightings as $sighting) { // in order: the latest counts
            $cue = $sighting->who === null ? $this->cues[$sighting->cue] ?? null : null;
            if ($cue !== null && in_array($sighting->state, $cue->states, true)) {
                $cues[$cue->key] = $cue->state($sighting->state);
            }
        }

        return new Hatchling((string) $animal->id, $animal->sex, $animal->daysOld($this->clutch), $this->saw($animal), $cues);
    }

    /** A look that was stated of it as sure. */
    private function saw(Animal $animal): ?Target
    {
        $sure = $animal->statements->filter(fn (Statement $statement): bool => $statement->certainty === 100)->last();

        return $sure === null ? null : $this->target($sure->text);
    }

    private function target(string $text): ?Target
    {
        try {
            return $this->opened->shelf->targets()->read($text);
        } catch (DestinoError) {
            return null; // its own page says that it cannot be read
        }
    }

    /** @return list<array{target: Target, hatchlings: list<string>}> sets that say something of hatchlings that are here */
    public function alike(): array
    {
        $sets = [];
        foreach ($this->clutch->alikeSets as $set) {
            $here = array_values(array_filter($set->animals, fn (int $id): bool => isset($this->hatchlings[$id])));
            $target = $this->target($set->target);
            if ($target !== null && count($here) > 1) {
                $sets[] = ['target' => $target, 'hatchlings' => array_map(strval(...), $here)];
            }
        }

        return $sets;
    }
}
