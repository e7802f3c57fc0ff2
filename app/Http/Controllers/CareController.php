<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\CareRequest;
use App\Models\Animal;
use Illuminate\Http\RedirectResponse;

class CareController extends Controller
{
    public function store(CareRequest $request, Animal $animal): RedirectResponse
    {
        $entry = $request->log($animal);

        return redirect()->to(route('animals.show', $animal).($request->input('from') === 'top' ? '' : '#care'))
            ->with('said', "Logged for {$entry->on->format('j F')}: {$entry->sentence()}")
            ->with('undo', route('records.destroy', ['care', $entry->id]))->with('undo_method', 'delete');
    }
}
