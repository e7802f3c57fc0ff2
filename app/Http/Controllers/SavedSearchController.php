<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\SavedSearch;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

class SavedSearchController extends Controller
{
    private const FIELDS = ['genes', 'find', 'view', 'rack', 'status', 'sex', 'ready', 'gone'];

    public function store(Request $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('log');
        $valid = $request->validateWithBag(
            'search', ['name' => ['required', 'string', 'max:60'], 'query' => ['required', 'string', 'max:2000']],
            ['name' => 'Give the search a name of at most 60 characters.'],
        );
        parse_str($valid['query'], $query);
        $query = http_build_query(array_intersect_key(array_filter($query, is_string(...)), array_flip(self::FIELDS)));
        DB::transaction(fn () => $keeper->savedSearches()->updateOrCreate(['name' => $valid['name']], ['query' => $query]));

        return redirect()->to(route('animals.index').'?'.$query)->with('said', "Kept as “{$valid['name']}”.");
    }

    public function destroy(SavedSearch $search): RedirectResponse
    {
        $this->authorize('log', $search);
        DB::transaction(fn () => $search->delete());

        return redirect()->route('animals.index')->with('said', "“{$search->name}” is removed.");
    }
}
