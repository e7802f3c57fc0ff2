<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\RemovedSince;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * What became of each animal's row of a message about several, since one that is not here any more holds back no other: kept, there
 * already, taken back, gone, removed or refused. What is none of the first three stays with the device that sent it.
 *
 * @phpstan-type Row array{state: string, name?: string, why?: string, restore?: string|null}
 */
final class RowAnswers
{
    private const GONE = 'gone';

    private const REMOVED = 'removed';

    private const REFUSED = 'refused';

    /** @var list<CareEntry> those that stand now, with their animals */
    public array $entries = [];

    /** @var array<int, Row> by animal */
    private array $rows = [];

    /** @param array<int, string> $refused rows that cannot be read, with why */
    public function __construct(array $refused = [])
    {
        foreach ($refused as $id => $why) {
            $this->rows[$id] = ['state' => self::REFUSED, 'why' => $why];
        }
    }

    /**
     * Logs what each animal's row says, in one transaction.
     *
     * @param  list<int>  $ids
     * @param  callable(Animal): ?CareEntry  $log  null where the row takes back what it said before; throws RemovedSince
     */
    public function log(User $keeper, array $ids, callable $log): self
    {
        DB::transaction(function () use ($keeper, $ids, $log): void {
            $animals = $keeper->animals()->withTrashed()->with('latestFeed')->whereIn('id', [...$ids, ...array_keys($this->rows)])->get()
                ->keyBy('id');
            foreach ($ids as $id) {
                $animal = $animals->get($id);
                $this->rows[$id] = $animal === null || $animal->trashed()
                    ? ['state' => self::GONE,
                        'why' => ($animal === null ? 'This animal' : $animal->name).' is not in the collection any more.']
                    : $this->answer($animal, $log);
            }
            foreach ($animals as $id => $animal) {
                $this->rows[$id]['name'] = $animal->name;
            }
        });

        return $this;
    }

    /**
     * @param  callable(Animal): ?CareEntry  $log
     * @return Row
     */
    private function answer(Animal $animal, callable $log): array
    {
        try {
            $entry = $log($animal);
        } catch (RemovedSince $error) {
            return ['state' => self::REMOVED, 'why' => $error->getMessage(), 'restore' => RemovedAnswer::restore($error)];
        }
        if ($entry === null) {
            return ['state' => 'taken back'];
        }
        $this->entries[] = $entry->setRelation('animal', $animal);

        return ['state' => $entry->wasRecentlyCreated || $entry->wasChanged() ? 'kept' : 'there'];
    }

    /** @return array<int, Row> by animal */
    public function rows(): array
    {
        return $this->rows;
    }

    /** @return list<int> the animals whose row stands now */
    public function kept(): array
    {
        return array_map(fn (CareEntry $entry): int => $entry->animal_id, $this->entries);
    }

    /** Why rows were not kept, each in a sentence; '' where all were. */
    public function words(): string
    {
        $why = array_filter(array_map(fn (array $row): ?string => $row['why'] ?? null, $this->rows));

        return $why === [] ? '' : ' Not saved: '.implode(' ', array_unique($why));
    }
}
