<?php

namespace App\Exchange;

use App\Collection\Numbering;
use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Rack;
use Destino\Husbandry\PedigreeError;
use Illuminate\Support\Facades\DB;

/** Writes the rows of a plan into a collection: all of them or, where anything goes wrong, none. */
class Importer
{
    public function __construct(private readonly Opened $opened) {}

    /**
     * @param  list<ImportRow>  $rows
     * @return list<Animal> in the order of the rows
     *
     * @throws PedigreeError when the list makes an animal its own ancestor
     */
    public function write(array $rows): array
    {
        return DB::transaction(function () use ($rows): array {
            $made = [];
            $places = [];
            foreach ($rows as $row) {
                $animal = $this->opened->keeper()->animals()->create($this->values($row, $places));
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
                $made[] = $animal;
            }
            $this->joinParents($rows, $made);
            $this->checkPedigree();

            return $made;
        });
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
        $rack = $this->opened->keeper()->racks()->where('name', $name)->first()
            ?? $this->opened->keeper()->racks()->create([
                'name' => $name, 'rows' => 1, 'columns' => 1, 'position' => $this->opened->keeper()->racks()->count(),
            ]);
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
        foreach ($rows as $i => $row) {
            $parents = [];
            foreach (['sire', 'dam'] as $role) {
                if ($row->{$role} !== null) {
                    $id = $byName[mb_strtolower($row->{$role})] ?? null;
                    $parents[$id === null ? "{$role}_name" : "{$role}_id"] = $id ?? $row->{$role};
                }
            }
            if ($parents !== []) {
                $made[$i]->update($parents);
            }
        }
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
