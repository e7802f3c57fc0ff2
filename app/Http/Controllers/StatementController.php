<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\StatementRequest;
use App\Models\Animal;
use App\Models\Statement;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

class StatementController extends Controller
{
    public function store(StatementRequest $request, Animal $animal): RedirectResponse
    {
        $statement = $request->addTo($animal);

        return redirect()->to($statement->home())->with('said', "Added: {$statement->sentence()}");
    }

    public function edit(Statement $statement): View
    {
        $this->authorize('manage', $statement);

        return view('animals.statement', ['statement' => $statement, 'animal' => $statement->animal]);
    }

    public function update(StatementRequest $request, Statement $statement): RedirectResponse
    {
        $statement = $request->change($statement);

        return redirect()->to($statement->home())->with(
            'said', "Corrected: {$statement->sentence()}. The history keeps what it said before.",
        );
    }
}
