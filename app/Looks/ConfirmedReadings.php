<?php

declare(strict_types=1);

namespace App\Looks;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Sighting;
use App\Models\Statement;
use Destino\Genome\Form;
use Destino\Identification\Cue;
use Destino\Inference\Evidence\Source;

/**
 * What the keeper read of cues on animals whose genes are sure by something else than these cues: a laboratory, their young, or
 * what was stated of them grown.
 *
 * @phpstan-type ConfirmedReading array{cue: Cue, state: int, days: int, forms: array<string, Form>, genes: string}
 */
final readonly class ConfirmedReadings
{
    /** Days from which a look is that of a grown animal. */
    private const GROWN = 540;

    public function __construct(private Opened $opened) {}

    /** @return list<ConfirmedReading> each animal once for a cue, the latest look; where the day of hatching is not known, none */
    public function all(): array
    {
        $all = [];
        foreach ($this->confirmed() as $animal) {
            $forms = SureForms::of($this->opened->beliefs()->belief($animal->id), $this->opened->shelf->catalogue());
            $genes = $this->opened->beliefs()->text($animal->id) ?: 'Normal';
            foreach ($forms === null ? [] : $this->seen($animal) as [$cue, $state, $days]) {
                $all[] = ['cue' => $cue, 'state' => $state, 'days' => $days, 'forms' => $forms, 'genes' => $genes];
            }
        }

        return $all;
    }

    /** @return list<Animal> with own sightings, and with genes that are sure without them */
    private function confirmed(): array
    {
        $animals = $this->opened->keeper()->animals()->whereHas('sightings')->with('sightings', 'statements')->get();

        return array_values($animals->filter(
            fn (Animal $animal): bool => ! $animal->hasOpenGenes()
                && $animal->statements->contains(fn (Statement $one): bool => self::confirms($one, $animal)),
        )->all());
    }

    private static function confirms(Statement $statement, Animal $animal): bool
    {
        $isGrown = $animal->hatched_on !== null && $statement->on !== null
            && $animal->hatched_on->diffInDays($statement->on) >= self::GROWN;

        return in_array($statement->source, [Source::Laboratory, Source::Offspring], true)
            || ($statement->source === Source::Own && $isGrown && $statement->certainty === 100);
    }

    /** @return list<array{Cue, int, int}> cue, state and age in days; the latest look counts */
    private function seen(Animal $animal): array
    {
        $seen = [];
        foreach ($animal->hatched_on === null ? [] : $animal->sightings as $sighting) {
            /** @var Sighting $sighting */
            $cue = $sighting->who === null ? $this->opened->shelf->cues()[$sighting->cue] ?? null : null;
            $state = $cue?->find($sighting->state);
            if ($cue !== null && $state !== null) {
                $seen[$cue->key] = [$cue, $state, max(0, (int) $animal->hatched_on->diffInDays($sighting->on))];
            }
        }

        return array_values($seen);
    }
}
