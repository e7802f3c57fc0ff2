<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Collection\Numbering;
use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Rack;
use Closure;
use Destino\Husbandry\PedigreeError;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Writes the rows of a plan into a collection, a few in each transaction, so that others can write beside it: all of them or,
 * where anything goes wrong, none.
 */
class Importer
{
    private const ROWS = 40;

    /** @var array<string, true> tubs given away so far */
    private array $places = [];

    /** @var list<int> racks that were made */
    private array $racks = [];

    public function __construct(private readonly Opened $opened) {}

    /**
     * @param  list<ImportRow>  $rows
     * @param  Closure(list<int>): void|null  $wrote  called with the numbers of all animals so far, within the transaction of the last
     * @return list<Animal> in the order of the rows
     *
     * @throws PedigreeError when the list makes an animal its own ancestor
     */
    public function write(array $rows, ?Closure $wrote = null): array
    {
        $made = [];
        try {
            foreach (array_chunk($rows, self::ROWS) as $few) {
                DB::transaction(function () use ($few, &$made, $wrote): void {
                    foreach ($few as $row) {
                        $made[] = $this->animal($row);
                    }
                    $wrote === null ?: $wrote(array_map(fn (Animal $animal): int => $animal->id, $made));
                });
            }
            $this->joinParents($rows, $made);
            $this->checkPedigree();
        } catch (Throwable $error) {
            $this->withdraw($made);
            throw $error;
        }

        return $made;
    }

    private function animal(ImportRow $row): Animal
    {
        $animal = $this->opened->keeper()->animals()->create($this->values($row, $this->places));
        if (! $row->genesUnread) {
            $animal->statements()->create([
                'text' => $row->genes, 'source' => $row->saidBy, 'on' => $row->values['acquired_on'], 'names_all' => true,
            ]);
        }
        if ($row->grams !== null && $row->weighedOn !== null) {
            $animal->care()->create(['kind' => 'weight', 'on' => $row->weighedOn, 'grams' => $row->grams]);
        }
        if ($row->status !== null) {
            $animal->statusEvents()->create([
                'status' => $row->status, 'on' => $row->values['acquired_on'] ?? now()->format('Y-m-d'),
            ]);
        }

        return $animal;
    }

    /** @param list<Animal> $made of which none is to stay */
    private function withdraw(array $made): void
    {
        foreach (array_chunk(array_reverse($made), self::ROWS) as $few) {
            DB::transaction(fn () => array_walk($few, fn (Animal $animal) => $animal->forceDelete()));
        }
        Rack::query()->whereKey($this->racks)->whereDoesntHave('animals')->delete();
        $this->opened->refresh();
    }

    /**
     * @param  array<string, true>  $places  tubs given away so far
     * @return array<string, mixed>
     */
    private function values(ImportRow $row, array &$places): array
    {
        $values = $row->values + ['genes_open' => $row->genesUnread ? $row->genes : null];
        $values['number'] ??= Numbering::next(
            $this->opened->keeper(), $this->opened->house, (int) substr($values['hatched_on'] ?? now()->format('Y'), 0, 4),
        );
        if ($this->opened->keeper()->animals()->withTrashed()->where('number', $values['number'])->exists()) {
            // a repeated row that is wanted all the same
            $values['number'] = Numbering::next($this->opened->keeper(), $this->opened->house, (int) now()->format('Y'));
        }
        if ($row->rack === null) {
            return ['rack_row' => null, 'rack_column' => null] + $values;
        }
        $rack = $this->rack($row->rack, $values['rack_row'] ?? 1, $values['rack_column'] ?? 1);
        $place = "{$rack->id}:{$values['rack_row']}:{$values['rack_column']}";
        $isFree = $values['rack_row'] !== null && $values['rack_column'] !== null && ! isset($places[$place])
            && ! $rack->animals()->where('rack_row', $values['rack_row'])->where('rack_column', $values['rack_column'])->exists();
        $places[$place] = true;

        return ['rack_id' => $rack->id] + ($isFree ? [] : ['rack_row' => null, 'rack_column' => null]) + $values;
    }

    private function rack(string $name, int $row, int $column): Rack
    {
        $rack = $this->opened->keeper()->racks()->where('name', $name)->first();
        if ($rack === null) {
            $rack = $this->opened->keeper()->racks()->create([
                'name' => $name, 'rows' => 1, 'columns' => 1, 'position' => $this->opened->keeper()->racks()->count(),
            ]);
            $this->racks[] = $rack->id;
        }
        if ($row > $rack->rows || $column > $rack->columns) {
            $rack->update(['rows' => max($row, $rack->rows), 'columns' => max($column, $rack->columns)]);
        }

        return $rack;
    }

    /**
     * @param  list<ImportRow>  $rows
     * @param  list<Animal>  $made
     */
    private function joinParents(array $rows, array $made): void
    {
        $byName = [];
        foreach ($this->opened->keeper()->animals()->orderByDesc('id')->get(['id', 'name', 'number']) as $animal) {
            $byName[mb_strtolower($animal->name)] = $animal->id;
            $byName[mb_strtolower((string) $animal->number)] = $animal->id;
        }
        foreach (array_chunk($rows, self::ROWS, true) as $few) {
            DB::transaction(function () use ($few, $made, $byName): void {
                foreach ($few as $i => $row) {
                    $parents = self::parents($row, $byName);
                    $parents === [] ?: $made[$i]->update($parents);
                }
            });
        }
    }

    /**
     * @param  array<string, int>  $byName
     * @return array<string, int|string>
     */
    private static function parents(ImportRow $row, array $byName): array
    {
        $parents = [];
        foreach (['sire', 'dam'] as $role) {
            if ($row->{$role} !== null) {
                $id = $byName[mb_strtolower($row->{$role})] ?? null;
                $parents[$id === null ? "{$role}_name" : "{$role}_id"] = $id ?? $row->{$role};
            }
        }

        return $parents;
    }

    /** @throws PedigreeError */
    private function checkPedigree(): void
    {
        $this->opened->refresh();
        $first = $this->opened->keeper()->animals()->first();
        if ($first !== null) {
            $this->opened->family()->inbreeding($first);
        }
    }
}
