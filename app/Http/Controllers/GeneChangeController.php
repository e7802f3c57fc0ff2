<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\House\House;
use App\Http\Requests\GeneChangeRequest;
use App\Http\Requests\NamingRequest;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** What a keeper adds to the gene facts. */
class GeneChangeController extends Controller
{
    public function create(Request $request, CatalogueShelf $shelf, House $house, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('manage');

        return view('genes.own', [
            'catalogue' => $shelf->catalogue(), 'house' => $house, 'token' => (string) Str::uuid(),
            'called' => is_string($request->query('called')) ? mb_substr($request->query('called'), 0, 60) : '',
            'names' => $keeper->geneChanges()->where('kind', 'nickname')->orderBy('id')->get(),
        ]);
    }

    public function store(GeneChangeRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $change = $request->addTo($keeper);

        return redirect()->to($change->kind === 'gene' ? route('genes.show', $change->gene) : $change->home())
            ->with('said', "Added: {$change->sentence()}.");
    }

    /** A gene of the keeper's own gets a name, or turns out to be one that the library knows. */
    public function name(string $gene, NamingRequest $request): RedirectResponse
    {
        [$key, $said] = $request->name();

        return redirect()->route('genes.show', $key)->with('said', $said);
    }
}
