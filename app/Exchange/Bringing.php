<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Collection\Opened;
use App\Models\Animal;
use App\Models\Import;
use App\Models\User;
use Destino\DestinoError;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

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

    /**
     * A short list, wholly or not at all: whatever happens on the way, it can be sent again.
     *
     * @param array<string, mixed> $choices columns, dates, repeated
     *
     * @throws DestinoError where nothing can come of it
     */
    public function atOnce(Upload $upload, array $choices): Import
    {
        $import = DB::transaction(function () use ($upload, $choices): Import {
            $import = self::begin($this->opened->keeper(), $upload, $choices);
            if ($import->wasRecentlyCreated) {
                $plan = $upload->plan($choices, $this->opened->keeper(), $this->opened->shelf, $this->opened->house);
                $rows = $plan->ready((bool) ($choices['repeated'] ?? false));
                $made = (new Importer($this->opened))->atOnce($rows);
                $import->update([
                    'state' => 'done', 'progress' => 100, 'receipt' => self::receipt($plan, $rows),
                    'choices' => ['lines' => self::lines($rows)] + $choices,
                        'animals' => array_map(fn (Animal $one): int => $one->id, $made),
                ]);
            }

            return $import;
        });
        $upload->forget();

        return $import;
    }

    /** Begins with a list that waits, or goes on behind the last row that came in. Nobody else may be at it any more. */
    public function work(Import $import): void
    {
        $mark = (string) Str::uuid();
        $isMine = Import::query()->whereKey($import->id)->where(fn (Builder $any) => $any->where('state', 'waiting')->orWhere(
            fn (Builder $stopped) => $stopped->whereIn('state', ['working', 'failed'])->whereNull('worker'),
        ))->update(['state' => 'working', 'worker' => $mark]) === 1;
        $upload = Upload::find($this->opened->keeper(), $import->upload);
        if (! $isMine || $upload === null) {
            $isMine ? self::stop($import, 'The file is not here any more. Choose it again.') : null;

            return;
        }
        try {
            $this->bring($import->refresh(), $upload, $mark);
            $upload->forget();
        } catch (DestinoError $error) {
            self::stop($import, $error->getMessage());
        } catch (TakenUp) {
            return; // somebody else is at it, or has taken it back
        }
    }

    /** @throws DestinoError|TakenUp */
    private function bring(Import $import, Upload $upload, string $mark): void
    {
        $plan = $upload->plan($import->choices, $this->opened->keeper(), $this->opened->shelf, $this->opened->house, $import->animals);
        $rows = isset($import->choices['lines'])
            ? $plan->ofLines($import->choices['lines'])
            : $plan->ready((bool) ($import->choices['repeated'] ?? false));
        $note = function (array $values) use ($import, $mark): void {
            // Within the transaction that it belongs to, so that what came in and what is noted never differ.
            $current = Import::query()->whereKey($import->id)->where('worker', $mark)->lockForUpdate()->first() ?? throw new TakenUp;
            $current->fill($values)->setUpdatedAt(now())->save();
        };
        DB::transaction(fn () => $note(['choices' => ['lines' => self::lines($rows)] + $import->choices]));
        (new Importer($this->opened))->stepwise(
            $rows, $import->animals,
            fn (array $animals) => $note(['animals' => $animals, 'progress' => (int) floor(90 * count($animals) / max(1, count($rows)))]),
        );
        DB::transaction(fn () => $note(['state' => 'done', 'progress' => 100, 'worker' => null, 'receipt' => self::receipt($plan, $rows)]));
    }

    /**
     * @param list<ImportRow> $rows
     * @return list<int>
     */
    private static function lines(array $rows): array
    {
        return array_map(fn (ImportRow $row): int => $row->line, $rows);
    }

    /** Nobody works at it from now on: it can go on, or what came in is taken back. Whoever does stops at the next step. */
    public static function stop(Import $import, string $why): void
    {
        DB::transaction(function () use ($import, $why): void {
            $current = Import::query()->lockForUpdate()->findOrFail($import->id);
            if (in_array($current->state, ['waiting', 'working', 'failed'], true)) {
                $current->update(['state' => 'failed', 'worker' => null, 'receipt' => ['error' => $why] + ($current->receipt ?? [])]);
            }
        });
        $import->refresh();
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
                $remarks[] = ['line' => $row->line, 'animal' => $lines[$row->line], 'cells' => $cells,
                    'why' => implode(' ', array_unique($why))];
            }
        }

        return ['rows' => count($plan->rows), 'taken' => count($taken), 'headings' => $plan->table->headings, 'remarks' => $remarks,
            'left' => $left];
    }

    /** Removes what it made, and stops whoever is still at it; numbers and tubs are free again, and are kept here to be put back. */
    public static function takeBack(Import $import): int
    {
        return DB::transaction(function () use ($import): int {
            $import = Import::query()->lockForUpdate()->findOrFail($import->id);
            if ($import->state === 'taken back') {
                return 0;
            }
            $places = [];
            foreach (Animal::query()->whereKey($import->animals)->get() as $animal) {
                $places[$animal->id] = [$animal->number, $animal->rack_id, $animal->rack_row, $animal->rack_column];
                $animal->update(['number' => null, 'rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
                $animal->delete();
            }
            $import->update(['state' => 'taken back', 'worker' => null, 'receipt' => ['places' => $places] + ($import->receipt ?? [])]);

            return count($places);
        });
    }

    /** Puts back what was taken back, with its number where nobody else has it by now. */
    public static function putBack(Import $import): int
    {
        return DB::transaction(function () use ($import): int {
            $import = Import::query()->lockForUpdate()->findOrFail($import->id);
            if ($import->state !== 'taken back') {
                return 0;
            }
            $places = $import->receipt['places'] ?? [];
            foreach (Animal::onlyTrashed()->whereKey(array_keys($places))->get() as $animal) {
                [$number, $rack, $row, $column] = $places[$animal->id];
                $animal->restore();
                $isTaken = $number !== null
                    && Animal::withTrashed()->where('user_id', $import->user_id)->where('number', $number)->exists();
                $isFull = $rack === null || Animal::query()
                    ->where(['rack_id' => $rack, 'rack_row' => $row, 'rack_column' => $column])->whereNotNull('rack_row')->exists();
                $animal->update(['number' => $isTaken ? null : $number]
                    + ($isFull ? [] : ['rack_id' => $rack, 'rack_row' => $row, 'rack_column' => $column]));
            }
            $import->update(['state' => $import->isWhole() ? 'done' : 'failed',
                'receipt' => array_diff_key($import->receipt ?? [], ['places' => 1])]);

            return count($places);
        });
    }
}
