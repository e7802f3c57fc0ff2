<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Care\Standings;
use App\House\House;
use App\Http\Requests\RoundRequest;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\Enums\CareKind;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
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
        $animals = $keeper->animals()->with('latestStatus', 'rack')
            ->when(is_string($rack) && ctype_digit($rack), fn (Builder $query) => $query->where('rack_id', (int) $rack))
            ->orderBy('rack_id')->orderBy('rack_row')->orderBy('rack_column')->orderBy('name')->get()
            ->filter(fn (Animal $animal): bool => $animal->status()->isHere())->values();

        return view(
            'animals.round',
            [
                'kind' => CareKind::from($kind), 'animals' => $animals, 'house' => $house, 'racks' => $keeper->racks()->get(),
                'rack' => $rack, 'standings' => new Standings($keeper, Carbon::today()), 'token' => (string) Str::uuid(),
            ],
        );
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
