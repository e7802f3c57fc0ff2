<?php

declare(strict_types=1);

namespace App\Clutch;

use App\Collection\Kept;
use App\Models\Animal;
use App\Models\Sighting;
use Destino\Identification\Cue;

/**
 * What to ask of one hatchling, one thing after another. The order is that of what tells most of all siblings together when the first of
 * them was looked at, and stays: whoever holds one after the other looks at the same places in the same order.
 *
 * @phpstan-type Question array{cue: Cue, separates: string, seen: string|null, asked: bool, likely: list<int>, unlikely: list<int>}
 */
final readonly class Questions
{
    /** Places of the body as one goes over an animal. */
    private const PLACES = [
        'overall', 'head', 'snout', 'eye', 'neck', 'back', 'flank', 'belly-edge', 'belly', 'tail', 'scales', 'behaviour',
    ];

    /** Answers that stand side by side; of more, those that these parents can hardly give are folded. */
    private const ANSWERS = 6;

    private const HARDLY = .02;

    public function __construct(private Bench $bench, private Kept $kept, private bool $byPlace = false) {}

    /** @return list<Question> those that are worth a look first, and all others that can be read at its age */
    public function of(Animal $animal): array
    {
        $next = [];
        foreach ($this->bench->isImpossible($animal) ? [] : $this->bench->found?->cues((string) $animal->id)['next'] ?? [] as $one) {
            $next[$one['cue']->key] = $one;
        }
        $questions = [];
        foreach ($this->inOrder() as $key => $cue) {
            $seen = $this->seen($animal, $cue);
            if (isset($next[$key]) || $seen !== null) {
                $chances = $next[$key]['chances'] ?? [];
                $unlikely = count($cue->states) <= self::ANSWERS || $chances === [] ? [] : array_keys(array_filter(
                    $chances, static fn (float $chance, int $state): bool => $chance < self::HARDLY && $cue->states[$state] !== $seen,
                    ARRAY_FILTER_USE_BOTH,
                ));
                $questions[] = [
                    'cue' => $cue, 'separates' => $next[$key]['separates'] ?? '', 'seen' => $seen,
                    'asked' => $seen !== null || ($next[$key]['bits'] ?? 0.0) >= Bench::LEAST_BITS,
                    'likely' => array_values(array_diff(array_keys($cue->states), $unlikely)), 'unlikely' => $unlikely,
                ];
            }
        }
        usort($questions, static fn (array $a, array $b): int => $b['asked'] <=> $a['asked']);

        return $questions;
    }

    /** @return list<string> keys of all cues in the order in which they are asked */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->inOrder()));
    }

    private function seen(Animal $animal, Cue $cue): ?string
    {
        $last = $animal->sightings->filter(fn (Sighting $one): bool => $one->cue === $cue->key && $one->who === null)->last();

        return $cue->shown($last?->state);
    }

    /** @return array<string, Cue> */
    private function inOrder(): array
    {
        $cues = $this->bench->cues;
        $places = array_flip(self::PLACES);
        $keys = $this->byPlace ? [] : array_flip($this->order());
        uasort($cues, static fn (Cue $a, Cue $b): int => [
            $keys[$a->key] ?? count($keys), $places[$a->where] ?? count($places),
        ] <=> [$keys[$b->key] ?? count($keys), $places[$b->where] ?? count($places)]);

        return $cues;
    }

    /** @return list<string> keys of cues as they were asked first; what came to be worth a look since comes after them */
    private function order(): array
    {
        $name = "questions:{$this->bench->clutch->id}";
        $kept = $this->kept->get($name);
        if (! is_array($kept) || $kept === []) {
            $kept = array_map(static fn (array $row): string => $row['cue']->key, $this->bench->rows());
            $this->kept->put($name, $kept);
        }

        return array_values(array_filter($kept, is_string(...)));
    }
}
