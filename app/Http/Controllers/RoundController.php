<?php

namespace App\Http\Controllers;

use App\Care\CareKind;
use App\Http\Requests\RoundRequest;
use App\Models\Animal;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;

class RoundController extends Controller
{
    public function create(string $kind, #[CurrentUser] User $keeper): View
    {
        $this->authorize('viewAny', Animal::class);

        return view('animals.round', ['kind' => CareKind::from($kind), 'animals' => $keeper->animals()->with('latestWeight')->orderBy('name')->get(), 'token' => (string) Str::uuid()]);
    }

    public function store(RoundRequest $request, #[CurrentUser] User $keeper): RedirectResponse
    {
        $count = $request->log($keeper);
        $what = $request->kind() === CareKind::Weight ? 'weight' : 'meal';

        return redirect()->route('animals.index')->with('said', $count === 0 ? 'No row was filled in, so nothing was logged.' : "{$count} ".Str::plural($what, $count).' logged.');
    }
}
