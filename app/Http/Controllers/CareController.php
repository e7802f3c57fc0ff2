<?php

namespace App\Http\Controllers;

use App\Http\Requests\CareRequest;
use App\Models\Animal;
use App\Models\CareEntry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

class CareController extends Controller
{
    public function store(CareRequest $request, Animal $animal): RedirectResponse
    {
        $entry = $request->log($animal);

        return redirect()->to(route('animals.show', $animal).'#care')->with('said', "Logged for {$entry->on->format('j F')}: {$entry->sentence()}");
    }

    public function destroy(CareEntry $entry): RedirectResponse
    {
        $this->authorize('update', $entry->animal);
        DB::transaction(fn () => $entry->delete());

        return redirect()->to(route('animals.show', $entry->animal).'#care')->with('said', "Taken out: {$entry->sentence()}")->with('undo', route('care.restore', $entry));
    }

    public function restore(CareEntry $entry): RedirectResponse
    {
        $this->authorize('update', $entry->animal);
        DB::transaction(fn () => $entry->restore());

        return redirect()->to(route('animals.show', $entry->animal).'#care')->with('said', "Back again: {$entry->sentence()}");
    }
}
