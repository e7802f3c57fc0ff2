<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Care\RoundRows;
use App\House\House;
use App\Http\Requests\RoundRequest;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

class RoundController extends Controller
{
    public function create(Request $request, string $kind, House $house, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('log');
        $rack = $request->query('rack');
        $part = $request->query('part');
        $rows = new RoundRows(
            $keeper, is_string($rack) && ctype_digit($rack) ? (int) $rack : null,
            is_string($part) && ctype_digit($part) ? max(1, min(1_000, (int) $part)) : 1, Carbon::today(),
        );

        return view('animals.round', [
            'kind' => CareKind::from($kind), 'rows' => $rows, 'house' => $house, 'racks' => $keeper->racks()->get(),
            'rack' => $rack, 'token' => (string) Str::uuid(),
        ]);
    }

    public function store(RoundRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse|JsonResponse
    {
        $answers = $request->log($keeper);
        $entries = $answers->entries;
        $asks = [];
        foreach ($entries as $entry) {
            $question = RoundRequest::question($entry);
            $question === null ?: $asks[$entry->animal_id] = $question;
        }
        if ($request->isRowByRow()) {
            return response()->json(['kept' => $answers->kept(), 'asks' => (object) $asks, 'rows' => (object) $answers->rows()]);
        }
        $what = $request->kind() === CareKind::Weight ? 'weight' : 'meal';
        $count = count($entries);
        $names = array_map(
            fn (CareEntry $entry): string => $entry->animal->name,
            array_filter($entries, fn (CareEntry $entry): bool => isset($asks[$entry->animal_id])),
        );

        return redirect()->route('animals.index')->with(
            'said',
            ($count === 0 ? 'No row was filled in, so nothing was logged.'
                : "{$count} ".Str::plural($what, $count).' logged.').$answers->words()
                .(
                    $asks === []
                        ? ''
                        : ' Far from the weight before: '.implode(', ', array_slice($names, 0, 8)).(count($names) > 8 ? ' and others'
                            : '').'. Is that right?'
                ),
        );
    }
}
