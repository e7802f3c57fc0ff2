<?php

declare(strict_types=1);

namespace App\Care;

use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use DateTimeImmutable;
use Destino\Husbandry\Readiness;

/** What the care log of an animal says. */
class CareLog
{
    private const SHOWN = 30;

    /** @var list<CareEntry> newest first */
    public readonly array $entries;

    public function __construct(private readonly Animal $animal)
    {
        $entries = $animal->care->all();
        // By the day as it is stored: a date made of it for each comparison takes longer than all the rest.
        $days = array_map(fn (CareEntry $entry): string => substr((string) $entry->getAttributes()['on'], 0, 10), $entries);
        $ids = array_map(fn (CareEntry $entry): int => $entry->id, $entries);
        array_multisort($days, SORT_DESC, $ids, SORT_DESC, $entries);
        $this->entries = array_values($entries);
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

    public function readinessSentence(Readiness $readiness): string
    {
        $likely = $readiness->likely instanceof DateTimeImmutable ? ' Likely from '.$readiness->likely->format('F Y').'.' : '';

        return match ($readiness->isReady) {
            true => 'Ready to breed by '
                .($this->animal->hatched_on === null ? 'weight.' : ($this->weights() === [] ? 'age.' : 'age and weight.')),
            false => "Not ready to breed.{$likely}",
            null => 'Not known whether it is ready to breed.',
        };
    }
}
