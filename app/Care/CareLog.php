<?php

namespace App\Care;

use App\Models\Animal;
use App\Models\CareEntry;
use DateTimeImmutable;
use Destino\Husbandry\BreedingRules;
use Destino\Husbandry\Readiness;
use Destino\Husbandry\Weighing;
use Illuminate\Support\Carbon;

/** What the care log of an animal says. */
class CareLog
{
    private const SHOWN = 30;

    /** @var list<CareEntry> newest first */
    public readonly array $entries;

    public function __construct(private readonly Animal $animal)
    {
        /** @var list<CareEntry> $entries */
        $entries = $animal->care()->orderByDesc('on')->orderByDesc('id')->get()->all();
        $this->entries = $entries;
    }

    /** @return list<CareEntry> newest first */
    public function latest(): array
    {
        return array_slice($this->entries, 0, self::SHOWN);
    }

    public function more(): int
    {
        return count($this->entries) - count($this->latest());
    }

    /** @return list<CareEntry> oldest first */
    public function weights(): array
    {
        return array_reverse(array_values(array_filter($this->entries, fn (CareEntry $entry): bool => $entry->kind === CareKind::Weight)));
    }

    public function chart(): ?WeightChart
    {
        return count($this->weights()) < 2 ? null : new WeightChart($this->weights());
    }

    public function readiness(?Carbon $today = null): Readiness
    {
        return Readiness::assess(
            $this->animal->sex->value === 'male',
            $this->animal->hatched_on?->toDateTimeImmutable(),
            array_map(fn (CareEntry $entry): Weighing => new Weighing($entry->on->toDateTimeImmutable(), (int) $entry->grams), $this->weights()),
            new BreedingRules,
            ($today ?? Carbon::today())->toDateTimeImmutable(),
        );
    }

    public function readinessSentence(): string
    {
        $readiness = $this->readiness();
        $likely = $readiness->likely instanceof DateTimeImmutable ? ' Likely from '.$readiness->likely->format('F Y').'.' : '';

        return match ($readiness->isReady) {
            true => 'Ready to breed by '.($this->animal->hatched_on === null ? 'weight.' : ($this->weights() === [] ? 'age.' : 'age and weight.')),
            false => "Not ready to breed.{$likely}",
            null => 'Whether it is ready to breed cannot be told yet.',
        };
    }
}
