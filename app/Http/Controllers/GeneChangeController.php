<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use App\Http\Requests\GeneChangeRequest;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;

/** What a keeper adds to the gene facts. */
class GeneChangeController extends Controller
{
    public function create(CatalogueShelf $shelf, House $house, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('manage');

        return view('genes.own', [
            'catalogue' => $shelf->catalogue(), 'house' => $house, 'token' => (string) Str::uuid(),
            'names' => $keeper->geneChanges()->where('kind', 'nickname')->orderBy('id')->get(),
        ]);
    }

    public function store(GeneChangeRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $change = $request->addTo($keeper);

        return redirect()->to($change->kind === 'gene' ? route('genes.show', $change->gene) : $change->home())
            ->with('said', "Added: {$change->sentence()}.");
    }
}
