<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BulkRequest;
use App\Models\Animal;
use App\Models\StatusEvent;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Several animals at once; what was done can be taken back at once too. */
class BulkController extends Controller
{
    private const UNDO = 'bulk-undo';

    public function store(BulkRequest $request): RedirectResponse
    {
        $done = $request->carryOut();
        $request->session()->put(self::UNDO, $done['undo']);
        $answer = redirect()->route('animals.index', ['view' => 'list'])->with('said', $done['said']);

        return $done['undo'] === [] ? $answer : $answer->with('undo', route('bulk.undo'));
    }

    public function undo(Request $request): RedirectResponse
    {
        $this->authorize('manage');
        $records = $request->session()->pull(self::UNDO, []);
        $count = DB::transaction(function () use ($records): int {
            $count = 0;
            foreach ($records as [$kind, $id]) {
                $record = $kind === 'animal' ? Animal::withTrashed()->find($id) : StatusEvent::query()->find($id);
                if ($record !== null && $this->authorize('manage', $record)->allowed()) {
                    $record instanceof Animal ? $record->restore() : $record->delete();
                    $count++;
                }
            }

            return $count;
        });

        return redirect()->route('animals.index', ['view' => 'list'])->with(
            'said', $count === 0 ? 'There is nothing left to undo.' : "Undone for {$count}.",
        );
    }
}
