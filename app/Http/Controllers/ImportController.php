<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exchange\Bringing;
use App\Exchange\ClutchOffers;
use App\Exchange\OutsideNames;
use App\Jobs\BringIn;
use App\Models\Import;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Tables\Sheet;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What became of a list. */
class ImportController extends Controller
{
    public function show(Import $import): View
    {
        $this->authorize('manage', $import);

        $isDone = $import->state === 'done';

        return view('exchange.receipt', [
            'import' => $import, 'outside' => $isDone ? OutsideNames::of($import->animals) : [],
            'offers' => $isDone ? ClutchOffers::among($import->animals) : [],
        ]);
    }

    public function progress(Import $import): JsonResponse
    {
        $this->authorize('manage', $import);

        return response()->json(['state' => $import->isOpen() ? 'running' : 'ended', 'progress' => $import->progress]);
    }

    /** Rows that were left out or taken with a remark, as they were written, with why. */
    public function rest(Import $import): StreamedResponse
    {
        $this->authorize('manage', $import);
        $receipt = $import->receipt ?? [];

        $name = 'destino-rest-'.(Str::slug(pathinfo($import->name, PATHINFO_FILENAME)) ?: 'list');
        $headings = array_map(strval(...), [...($receipt['headings'] ?? []), 'row', 'state', 'why']);

        return Sheet::download($name, Sheet::CSV, $headings, function () use ($receipt): iterable {
            foreach (['left' => 'left out', 'remarks' => 'brought in with a remark'] as $kind => $state) {
                foreach ($receipt[$kind] ?? [] as $row) {
                    yield [...array_map(strval(...), $row['cells']), $row['line'], $state, $row['why']];
                }
            }
        });
    }

    public function clutches(Request $request, Import $import, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('manage', $import);
        $valid = $request->validate(['offers' => ['required', 'array', 'max:500'], 'offers.*' => ['string', 'max:20']],
            ['offers' => 'Choose at least one.']);
        $count = ClutchOffers::note($keeper, $import->animals, array_values($valid['offers']));

        return redirect()->route('imports.show', $import)->with('said', "{$count} ".Str::plural('clutch', $count).' noted.');
    }

    /** Nobody works at it from now on. */
    public function stop(Import $import): RedirectResponse
    {
        $this->authorize('manage', $import);
        Bringing::stop($import, 'You stopped the import.');

        return redirect()->route('imports.show', $import);
    }

    /** Goes on behind the last row that came in; whoever is still at it, without a sign, stops. */
    public function goOn(Import $import): RedirectResponse
    {
        $this->authorize('manage', $import);
        if (! $import->isWorkedAt() && in_array($import->state, ['waiting', 'working', 'failed'], true)) {
            $import->state === 'waiting' ?: Bringing::stop($import, 'The import stopped before its end.');
            BringIn::dispatch($import->id);
        }

        return redirect()->route('imports.show', $import);
    }

    public function takeBack(Import $import): RedirectResponse
    {
        $this->authorize('manage', $import);
        $count = Bringing::takeBack($import);

        return redirect()->route('imports.show', $import)->with('said', "{$count} ".Str::plural('animal', $count).' removed: import undone.');
    }

    public function putBack(Import $import): RedirectResponse
    {
        $this->authorize('manage', $import);
        $count = Bringing::putBack($import);

        return redirect()->route('imports.show', $import)->with('said', "{$count} ".Str::plural('animal', $count).' back again.');
    }
}
