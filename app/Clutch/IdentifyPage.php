<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Kept;
use App\Models\Animal;
use Destino\Identification\Cue;
use Illuminate\Support\Carbon;

/**
 * One hatchling of a clutch with its questions, or two beside each other, and how far the siblings are.
 *
 * @phpstan-import-type Question from Questions
 * @phpstan-type QuestionOfSome array{cue: Cue, separates: string, asked: bool, of: array<int, Question>}
 */
final readonly class IdentifyPage
{
    public const BY_PLACE = 'place';

    /** The hatchling that is asked about; null where there is none. */
    public ?Animal $animal;

    /** A sibling that is asked about beside it; null where there is none. */
    public ?Animal $beside;

    /** @var array<int, KnownSoFar|null> by hatchling */
    private array $known;

    /**
     * @param int|null $id of the hatchling that is wanted; null for the first that is not sure yet
     * @param int|null $beside of a sibling that stands beside it
     */
    public function __construct(
        public Bench $bench, private Kept $kept, ?int $id = null, public bool $byPlace = false, ?int $beside = null,
    ) {
        $this->known = array_map($bench->known(...), $bench->hatchlings);
        $this->animal = $id === null ? $this->next(null) ?? array_values($bench->hatchlings)[0] ?? null : $bench->hatchlings[$id] ?? null;
        $this->beside = $beside === null || $beside === $this->animal?->id ? null : $bench->hatchlings[$beside] ?? null;
    }

    /** @return list<Animal> the hatchlings on the page: one, or two beside each other */
    public function animals(): array
    {
        return array_values(array_filter([$this->animal, $this->beside]));
    }

    /** @return list<Animal> siblings that could stand beside it */
    public function others(): array
    {
        return array_values(array_filter($this->bench->hatchlings, fn (Animal $one): bool => ! in_array($one, $this->animals(), true)));
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

    /** @return list<QuestionOfSome> those that are worth a look first, each with the answers of every hatchling that is asked about */
    public function questions(): array
    {
        $all = [];
        $questions = new Questions($this->bench, $this->kept, $this->byPlace);
        foreach ($this->animals() as $animal) {
            foreach ($questions->of($animal) as $question) {
                $key = $question['cue']->key;
                $all[$key] ??= ['cue' => $question['cue'], 'separates' => $question['separates'], 'asked' => false, 'of' => []];
                $all[$key]['asked'] = $all[$key]['asked'] || $question['asked'];
                $all[$key]['of'][$animal->id] = $question;
            }
        }
        $place = array_flip($questions->keys());
        uasort($all, static fn (array $a, array $b): int => [! $a['asked'], $place[$a['cue']->key]] <=> [! $b['asked'], $place[$b['cue']->key]]);

        return array_values($all);
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
     * What a tap changed, for a page that stays: what each is by now, and which questions are worth a look.
     *
     * @return array<int, array{name: string, shown: list<string>, carried: list<string>, sure: bool, done: float, worth: list<string>}>
     */
    public function answers(): array
    {
        $answers = [];
        foreach ($this->animals() as $animal) {
            $known = $this->known($animal);
            $answers[$animal->id] = [
                'name' => $known?->name() ?? '', 'shown' => $known?->shown() ?? [], 'carried' => $known?->carried() ?? [],
                'sure' => $known?->isSure() ?? false, 'done' => round($known?->done() ?? 0.0, 2),
                'worth' => array_map(strval(...), array_keys($this->bench->worth($animal->id))),
            ];
        }

        return $answers;
    }
}
