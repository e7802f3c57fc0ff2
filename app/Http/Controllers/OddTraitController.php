<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Http\Requests\OddTraitRequest;
use App\Http\Requests\TraitEntryRequest;
use App\Models\OddTrait;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Prove\TraitPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;

class OddTraitController extends Controller
{
    public function __construct(private readonly CatalogueShelf $shelf) {}

    public function create(): View
    {
        $this->authorize('manage');

        return view(
            'prove.trait-form',
            [
                'token' => (string) Str::uuid(),
                'genes' => array_map(fn ($allele): string => $allele->name, $this->shelf->catalogue()->alleles),
            ],
        );
    }

    public function store(OddTraitRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        return redirect()->route('traits.show', $request->addTo($keeper));
    }

    public function show(OddTrait $trait): View
    {
        $this->authorize('view', $trait);
        $trait->load('entries');

        return view('prove.trait', ['trait' => $trait, 'page' => new TraitPage($trait, $this->shelf), 'token' => (string) Str::uuid()]);
    }

    public function add(TraitEntryRequest $request, OddTrait $trait): RedirectResponse
    {
        $entry = $request->addTo($trait);

        return redirect()->route('traits.show', $trait)->with('said', "Added: {$entry->sentence()}.");
    }
}
