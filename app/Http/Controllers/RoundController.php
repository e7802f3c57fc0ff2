<?php

namespace App\Http\Controllers;

use App\House\House;
use App\Http\Requests\RoundRequest;
use App\Models\Animal;
use App\Models\Enums\CareKind;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

class RoundController extends Controller
{
    public function create(Request $request, string $kind, House $house, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('log');
        $rack = $request->query('rack');
        $animals = $keeper->animals()->with('latestWeight', 'latestFeed', 'latestStatus', 'rack')
            ->when(is_string($rack) && ctype_digit($rack), fn (Builder $query) => $query->where('rack_id', (int) $rack))
            ->orderBy('rack_id')->orderBy('rack_row')->orderBy('rack_column')->orderBy('name')->get()
            ->filter(fn (Animal $animal): bool => $animal->status()->isHere())->values();

        return view(
            'animals.round',
            [
                'kind' => CareKind::from($kind), 'animals' => $animals, 'house' => $house, 'racks' => $keeper->racks()->get(),
                'rack' => $rack, 'token' => (string) Str::uuid(),
            ],
        );
    }

    public function store(RoundRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $count = $request->log($keeper);
        $what = $request->kind() === CareKind::Weight ? 'weight' : 'meal';

        return redirect()->route('animals.index')->with(
            'said',
            $count === 0 ? 'No row was filled in, so nothing was logged.' : "{$count} ".Str::plural($what, $count).' logged.',
        );
    }
}
