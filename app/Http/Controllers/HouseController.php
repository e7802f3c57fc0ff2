<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Collection\Opened;
use App\House\House;
use App\Http\Requests\HouseRequest;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Prove\EvidenceAsked;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** The house rules: everybody reads them, the owner chooses. */
class HouseController extends Controller
{
    /** The rooms of the house, each with how it stands. */
    public function index(): View
    {
        $this->authorize('read');

        return view('house.index');
    }

    public function show(CatalogueShelf $shelf, House $house): View
    {
        $this->authorize('read');

        return view(
            'house.show',
            ['house' => $house, 'catalogue' => $shelf->catalogue(), 'stances' => $house->stances($shelf->catalogue())],
        );
    }

    /** Whether everything that follows from the last change was worked out, for pages that show what was known before it. */
    public function workedOut(Opened $opened): JsonResponse
    {
        $this->authorize('read');

        $isAsked = (new EvidenceAsked($opened->kept, $opened->keeper()->id))->all() !== [];

        return response()->json(['done' => $opened->beliefs()->isComplete() && ! $isAsked]);
    }

    public function update(HouseRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $request->change($keeper);

        return redirect()->route('house')->with('said', 'House rules saved. All odds and plans now use them.');
    }
}
