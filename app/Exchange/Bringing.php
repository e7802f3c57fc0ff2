<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Import;
use App\Models\User;
use Destino\DestinoError;
use Illuminate\Support\Facades\DB;

/** Brings a list in, keeps a receipt of it, and takes it back. */
class Bringing
{
    public function __construct(private readonly Opened $opened) {}

    /**
     * One file is brought in once, however often it is asked for.
     *
     * @param array<string, mixed> $choices columns, dates, repeated
     */
    public static function begin(User $keeper, Upload $upload, array $choices): Import
    {
        return $keeper->imports()->createOrFirst(['upload' => $upload->id], ['name' => $upload->name, 'choices' => $choices]);
    }

    /** Does what is waiting; a second worker finds nothing to do. */
    public function work(Import $import): void
    {
        $isMine = Import::query()->whereKey($import->id)->where('state', 'waiting')->update(['state' => 'working']) === 1;
        $upload = Upload::find($this->opened->keeper(), $import->upload);
        if (! $isMine || $upload === null) {
            $isMine ? self::fail($import, 'The file is not here any more. Choose it again.') : null;

            return;
        }
        try {
            $plan = $upload->plan($import->choices, $this->opened->keeper(), $this->opened->shelf, $this->opened->house);
            $rows = $plan->ready((bool) ($import->choices['repeated'] ?? false));
            (new Importer($this->opened))->write($rows, function (array $animals) use ($import, $rows): void {
                $import->refresh()->update(['animals' => $animals, 'progress' => (int) floor(90 * count($animals) / count($rows))]);
            });
            $import->refresh()->update(['state' => 'done', 'progress' => 100, 'receipt' => self::receipt($plan, $rows)]);
            $upload->forget();
        } catch (DestinoError $error) {
            self::fail($import, $error->getMessage());
        }
    }

    /** Nothing of it stays, or, where it was broken off, what it made can be taken back. */
    public static function fail(Import $import, string $why): void
    {
        $import->refresh();
        $here = array_values(array_filter($import->animals, fn (int $id): bool => Animal::query()->whereKey($id)->exists()));
        $import->update(['state' => 'failed', 'animals' => $here, 'receipt' => ['error' => $why] + ($import->receipt ?? [])]);
    }

    /**
     * @param list<ImportRow> $taken
     * @return array<string, mixed>
     */
    private static function receipt(ImportPlan $plan, array $taken): array
    {
        $lines = array_flip(array_map(fn (ImportRow $row): int => $row->line, $taken));
        $remarks = $left = [];
        foreach ($plan->rows as $row) {
            $cells = $plan->table->rows[$row->line];
            if (! isset($lines[$row->line])) {
                $why = $row->errors === [] ? "It repeats: {$row->repeats}." : implode(' ', array_column($row->errors, 'message'));
                $left[] = ['line' => $row->line, 'cells' => $cells, 'why' => $why];
            } elseif ($row->remarks !== [] || $row->genesUnread) {
                $why = array_column($row->remarks, 'message') ?: ['No genes given: not known.'];
                $remarks[] = ['line' => $row->line, 'animal' => $lines[$row->line], 'cells' => $cells, 'why' => implode(' ', array_unique($why))];
            }
        }

        return ['rows' => count($plan->rows), 'taken' => count($taken), 'headings' => $plan->table->headings, 'remarks' => $remarks, 'left' => $left];
    }

    /** Removes what it made; numbers and tubs are free again, and are kept here to be put back. */
    public static function takeBack(Import $import): int
    {
        return DB::transaction(function () use ($import): int {
            $places = [];
            foreach (Animal::query()->whereKey($import->animals)->get() as $animal) {
                $places[$animal->id] = [$animal->number, $animal->rack_id, $animal->rack_row, $animal->rack_column];
                $animal->update(['number' => null, 'rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
                $animal->delete();
            }
            $import->update(['state' => 'taken back', 'receipt' => ['places' => $places] + ($import->receipt ?? [])]);

            return count($places);
        });
    }

    /** Puts back what was taken back, with its number where nobody else has it by now. */
    public static function putBack(Import $import): int
    {
        return DB::transaction(function () use ($import): int {
            $places = $import->receipt['places'] ?? [];
            foreach (Animal::onlyTrashed()->whereKey(array_keys($places))->get() as $animal) {
                [$number, $rack, $row, $column] = $places[$animal->id];
                $animal->restore();
                $isTaken = $number !== null && Animal::withTrashed()->where('user_id', $import->user_id)->where('number', $number)->exists();
                $isFull = $rack === null || Animal::query()
                    ->where(['rack_id' => $rack, 'rack_row' => $row, 'rack_column' => $column])->whereNotNull('rack_row')->exists();
                $animal->update(['number' => $isTaken ? null : $number] + ($isFull ? [] : ['rack_id' => $rack, 'rack_row' => $row, 'rack_column' => $column]));
            }
            $import->update(['state' => 'done', 'receipt' => array_diff_key($import->receipt ?? [], ['places' => 1])]);

            return count($places);
        });
    }
}
