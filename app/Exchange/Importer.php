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
 * Writes the rows of a plan into a collection: those of a short list in one transaction; those of a long one a few in each, so that
 * others can write beside it, and where it was broken off it goes on behind the last.
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
     * @return list<Animal> in the order of the rows
     *
     * @throws PedigreeError when the list makes an animal its own ancestor; nothing of it stays then
     */
    public function atOnce(array $rows): array
    {
        try {
            return DB::transaction(function () use ($rows): array {
                $made = array_map($this->animal(...), $rows);
                $this->joinParents($rows, array_map(fn (Animal $animal): int => $animal->id, $made));
                $this->checkPedigree();

                return $made;
            });
        } catch (Throwable $error) {
            $this->opened->refresh();

            throw $error;
        }
    }

    /**
     * @param  list<ImportRow>  $rows
     * @param  list<int>  $made  animals of the first rows, where it goes on
     * @param  Closure(list<int>): void  $wrote  called with the numbers of all animals so far, within each transaction; throws where
     *     somebody else goes on with it
     *
     * @throws PedigreeError when the list makes an animal its own ancestor; nothing of it stays then
     */
    public function stepwise(array $rows, array $made, Closure $wrote): void
    {
        foreach (array_chunk(array_slice($rows, count($made)), self::ROWS) as $few) {
            $made = DB::transaction(function () use ($few, $made, $wrote): array {
                $all = [...$made, ...array_map(fn (ImportRow $row): int => $this->animal($row)->id, $few)];
                $wrote($all);

                return $all;
            });
        }
        try {
            $this->joinParents($rows, $made, fn () => $wrote($made));
            $this->checkPedigree();
        } catch (PedigreeError $error) {
            $this->withdraw($made, $wrote);

            throw $error;
        }
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

    /**
     * @param  list<int>  $made  of which none is to stay
     * @param  Closure(list<int>): void  $wrote
     */
    private function withdraw(array $made, Closure $wrote): void
    {
        for (; $made !== []; $made = $left) {
            $left = array_slice($made, 0, -self::ROWS);
            DB::transaction(function () use ($made, $left, $wrote): void {
                Animal::withTrashed()->whereKey(array_slice($made, count($left)))->get()->each(fn (Animal $animal) =>
                    $animal->forceDelete());
                $wrote($left);
            });
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
     * What an animal has been given as a parent in the meantime stays.
     *
     * @param  list<ImportRow>  $rows
     * @param  list<int>  $made
     * @param  (Closure(): mixed)|null  $goOn  called within each transaction
     */
    private function joinParents(array $rows, array $made, ?Closure $goOn = null): void
    {
        $byName = [];
        foreach ($this->opened->keeper()->animals()->orderByDesc('id')->get(['id', 'name', 'number']) as $animal) {
            $byName[mb_strtolower($animal->name)] = $animal->id;
            $byName[mb_strtolower((string) $animal->number)] = $animal->id;
        }
        foreach (array_chunk($rows, self::ROWS, true) as $few) {
            DB::transaction(function () use ($few, $made, $byName, $goOn): void {
                $animals = Animal::query()->whereKey(array_intersect_key($made, $few))->get()->keyBy('id');
                foreach ($few as $i => $row) {
                    $animal = $animals->get($made[$i]);
                    $parents = $animal === null ? [] : self::parents($row, $byName);
                    $parents = array_filter($parents, fn (string $field): bool => $animal?->getAttribute($field) === null,
                        ARRAY_FILTER_USE_KEY);
                    $parents === [] ?: $animal?->update($parents);
                }
                $goOn === null ?: $goOn();
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
