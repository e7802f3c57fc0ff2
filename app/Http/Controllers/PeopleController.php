<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PersonRequest;
use App\Models\Enums\Role;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;

/** Who else works in the collection. */
class PeopleController extends Controller
{
    public function index(#[CurrentKeeper] User $keeper): View
    {
        $this->authorize('manage');

        return view('people.index', ['keeper' => $keeper, 'people' => $keeper->people()->orderBy('name')->get()]);
    }

    public function store(PersonRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $person = $request->addTo($keeper);

        return redirect()->route('people.index')->with('said', "{$person->name} can sign in now.");
    }

    public function update(Request $request, User $person, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('manage');
        abort_unless($person->owner_id === $keeper->id, 404);
        $role = $request->validate(['role' => ['required', Rule::in([Role::Helper->value, Role::Viewer->value])]])['role'];
        DB::transaction(fn () => $person->update(['role' => $role]));

        return redirect()->route('people.index')->with('said', "{$person->name} is a {$role} now.");
    }

    public function destroy(User $person, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('manage');
        abort_unless($person->owner_id === $keeper->id, 404);
        DB::transaction(function () use ($person): void {
            $person->tokens()->delete();
            $person->delete();
        });

        return redirect()->route('people.index')->with('said', "{$person->name} cannot sign in any more. What was logged stays.");
    }
}
