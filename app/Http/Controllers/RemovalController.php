<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Animal;
use App\Models\Kinds;
use App\Models\Removable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletingScope;
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

        return redirect()->to($record->home())
            ->with('said', "Removed: {$record->sentence()}")
            ->with('undo', route('records.restore', [$kind, $id]));
    }

    public function restore(string $kind, int $id): RedirectResponse
    {
        $record = $this->find($kind, $id);
        DB::transaction(function () use ($record): void {
            $record->restore();
        });

        return redirect()->to($record->home())->with('said', "Restored: {$record->sentence()}");
    }

    private function find(string $kind, int $id): Model&Removable
    {
        $of = Kinds::all()[$kind] ?? null;
        abort_unless($of?->removal !== null, 404);
        /** @var Model&Removable $record */
        $record = $of->class::query()->withoutGlobalScope(SoftDeletingScope::class)->findOrFail($id);
        $this->authorize($of->removal->ability(), $record);

        return $record;
    }
}
