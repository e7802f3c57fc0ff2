<?php

declare(strict_types=1);

namespace Destino\Identification;

use Destino\Identification\Reading\LookReading;
use Destino\Identification\Reading\OwnEye;

/**
 * One thing to look at on an animal, and what it shows by genotype: it belongs to the eye, not to one gene. Rules come first, those of
 * a document or of the keeper's own genes; where none holds it is read from the look that is drawn.
 */
final readonly class Cue
{
    /**
     * @param string $where region of the body
     * @param list<string> $states
     * @param list<CueRule> $rules the first that holds counts; where there is no reading the last holds always
     * @param int $fromDays age from which it can be read
     * @param string|null $repeats key of a cue that shows the same thing: only the clearer of the two counts
     * @param int|null $toDays age until which it can be read
     * @param array<string, int> $formerly states by names that they had before
     * @param string|null $note what to mind when reading it
     * @param array<int, array{amounts: array<string, float>, crop: array<string, mixed>, drawn: array<string, float>}> $pictures how
     *     states are drawn: amounts over the wild type, the part of the animal, and what a picture makes plainer than they do; only of
     *     states that the drawing shows
     * @param string|null $ask the question that its states answer
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $where,
        public array $states,
        public array $rules,
        public int $fromDays = 0,
        public ?string $repeats = null,
        public ?LookReading $reading = null,
        public ?int $toDays = null,
        public array $formerly = [],
        public ?string $note = null,
        public array $pictures = [],
        private ?string $ask = null,
    ) {}

    /**
     * @throws IdentificationError when it has no such state
     */
    public function state(string $name): int
    {
        return $this->find($name) ?? throw IdentificationError::unknownState($this->key, $name, $this->states);
    }

    /** The number of a state by its name, or by one that it had before; null where there is none. */
    public function find(string $name): ?int
    {
        $state = array_search($name, $this->states, true);

        return $state === false ? $this->formerly[$name] ?? null : $state;
    }

    /** A state as it is called now; what it never had stays as it is. */
    public function shown(?string $name): ?string
    {
        $state = $name === null ? null : $this->find($name);

        return $state === null ? $name : $this->states[$state];
    }

    /** @return list<string> loci that its rules ask about */
    public function loci(): array
    {
        return array_values(
            array_unique(array_merge([], ...array_map(static fn (CueRule $rule): array => $rule->when?->loci() ?? [], $this->rules))),
        );
    }

    /** The question that its states answer. */
    public function question(): string
    {
        return $this->ask ?? "{$this->name}?";
    }

    public function canBeReadAt(int $days): bool
    {
        return $days >= $this->fromDays && ($this->toDays === null || $days <= $this->toDays);
    }

    /** The same as an eye sees it that differs from the shipped one. */
    public function readBy(OwnEye $eye): self
    {
        return new self(
            $this->key, $this->name, $this->where, $this->states, $this->rules, $this->fromDays, $this->repeats,
            $this->reading?->readBy($eye), $this->toDays, $this->formerly, $this->note, $this->pictures,
            $this->ask,
        );
    }
}
