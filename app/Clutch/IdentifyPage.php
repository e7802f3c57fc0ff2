<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Kept;
use App\Models\Animal;
use Destino\Identification\Cue;
use Illuminate\Support\Carbon;

/**
 * One hatchling of a clutch with its questions, and how far its siblings are.
 *
 * @phpstan-import-type Question from Questions
 */
final readonly class IdentifyPage
{
    public const BY_PLACE = 'place';

    /** The hatchling that is asked about; null where there is none. */
    public ?Animal $animal;

    /** @var array<int, KnownSoFar|null> by hatchling */
    private array $known;

    /** @param int|null $id of the hatchling that is wanted; null for the first that is not sure yet */
    public function __construct(
        public Bench $bench, private Kept $kept, ?int $id = null, public bool $byPlace = false,
    ) {
        $this->known = array_map($bench->known(...), $bench->hatchlings);
        $this->animal = $id === null ? $this->next(null) ?? array_values($bench->hatchlings)[0] ?? null : $bench->hatchlings[$id] ?? null;
    }

    public function known(Animal $animal): ?KnownSoFar
    {
        return $this->known[$animal->id] ?? null;
    }

    /** The first sibling after one that is not sure yet, going round. */
    public function next(?Animal $after): ?Animal
    {
        $ids = array_keys($this->bench->hatchlings);
        $place = $after === null ? -1 : (int) array_search($after->id, $ids, true);
        foreach ([...array_slice($ids, $place + 1), ...array_slice($ids, 0, max(0, $place))] as $id) {
            if (($this->known[$id] ?? null)?->isSure() === false) {
                return $this->bench->hatchlings[$id];
            }
        }

        return null;
    }

    public function sure(): int
    {
        return count(array_filter($this->known, static fn (?KnownSoFar $one): bool => $one?->isSure() ?? false));
    }

    public function place(): int
    {
        return 1 + (int) array_search($this->animal?->id, array_keys($this->bench->hatchlings), true);
    }

    /** @return list<Question> */
    public function questions(): array
    {
        return $this->animal === null ? [] : (new Questions($this->bench, $this->kept, $this->byPlace))->of($this->animal);
    }

    /** @return list<string> what can be read at a later age, and from when */
    public function later(): array
    {
        $hatched = $this->animal === null ? null : $this->animal->hatched_on ?? $this->bench->clutch->hatched_on;
        $cues = $hatched === null ? [] : $this->bench->found?->cues((string) $this->animal?->id)['later'] ?? [];
        usort($cues, static fn (Cue $a, Cue $b): int => $a->fromDays <=> $b->fromDays);

        return $hatched === null ? [] : array_map(
            static fn (Cue $cue): string => "{$cue->name}, from ".Carbon::parse($hatched)->addDays($cue->fromDays)->format('j M'), $cues,
        );
    }

    /**
     * What a tap changed, for a page that stays: what it is by now, and which questions are worth a look.
     *
     * @return array{name: string, shown: list<string>, carried: list<string>, sure: bool, done: float, worth: list<string>}
     */
    public function answer(): array
    {
        $known = $this->animal === null ? null : $this->known($this->animal);

        return [
            'name' => $known?->name() ?? '', 'shown' => $known?->shown() ?? [], 'carried' => $known?->carried() ?? [],
            'sure' => $known?->isSure() ?? false, 'done' => round($known?->done() ?? 0.0, 2),
            'worth' => array_map(strval(...), array_keys($this->animal === null ? [] : $this->bench->worth($this->animal->id))),
        ];
    }
}
