<?php

declare(strict_types=1);

namespace Destino\Identification;

/** One thing to look at on an animal, and what it shows by genotype: it belongs to the eye, not to one gene. */
final readonly class Cue
{
    /**
     * @param string $where region of the body
     * @param list<string> $states
     * @param non-empty-list<CueRule> $rules the first that holds counts; the last holds always
     * @param int $fromDays age from which it can be read
     * @param string|null $repeats key of a cue that shows the same thing: only the clearer of the two counts
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $where,
        public array $states,
        public array $rules,
        public int $fromDays = 0,
        public ?string $repeats = null,
    ) {}

    /**
     * @throws IdentificationError when it has no such state
     */
    public function state(string $name): int
    {
        $state = array_search($name, $this->states, true);

        return $state === false ? throw IdentificationError::unknownState($this->key, $name, $this->states) : $state;
    }

    /** @return list<string> loci that its rules ask about */
    public function loci(): array
    {
        return array_values(
            array_unique(array_merge([], ...array_map(static fn (CueRule $rule): array => $rule->when?->loci() ?? [], $this->rules))),
        );
    }

    /**
     * Of two cues that show the same thing the clearer one.
     *
     * @param array<string, self> $cues by key
     * @param array<string, int> $seen state by cue
     * @return array<string, int> those that count
     */
    public static function counting(array $cues, array $seen): array
    {
        foreach (array_keys($seen) as $key) {
            $other = $cues[$key]->repeats ?? null;
            if ($other !== null && array_key_exists($key, $seen) && array_key_exists($other, $seen)) {
                unset($seen[$cues[$key]->clarity($seen[$key]) > $cues[$other]->clarity($seen[$other]) ? $other : $key]);
            }
        }

        return $seen;
    }

    /** How far the chances of a state lie apart between the rules. */
    private function clarity(int $state): float
    {
        $chances = array_map(static fn (CueRule $rule): float => max(1e-6, $rule->chances[$state]->toFloat()), $this->rules);

        return max($chances) / min($chances);
    }
}
