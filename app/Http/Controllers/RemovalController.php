<?php

namespace App\Http\Controllers;

use App\Models\Animal;
use App\Models\Removable;
use App\Providers\AppServiceProvider;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** Takes any record out, and puts it back: nothing is asked twice, since nothing is lost. */
class RemovalController extends Controller
{
    public function destroy(string $kind, int $id): RedirectResponse
    {
        $record = $this->find($kind, $id);
        DB::transaction(function () use ($record): void {
            if ($record instanceof Animal) {
                $record->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]); // its tub is free again
            }
            $record->delete();
        });

        return redirect()->to($record->home())->with('said', "Taken out: {$record->sentence()}")->with('undo', route('records.restore', [$kind, $id]));
    }

    public function restore(string $kind, int $id): RedirectResponse
    {
        $record = $this->find($kind, $id);
        DB::transaction(fn () => $record->restore());

        return redirect()->to($record->home())->with('said', "Back again: {$record->sentence()}");
    }

    private function find(string $kind, int $id): Model&Removable
    {
        $class = AppServiceProvider::RECORDS[$kind] ?? null;
        abort_unless($class !== null && is_a($class, Removable::class, true) && in_array(SoftDeletes::class, class_uses_recursive($class), true), 404);
        /** @var Model&Removable $record */
        $record = $class::query()->withTrashed()->findOrFail($id);
        $this->authorize($record->rightToRemove(), $record);

        return $record;
    }
}
