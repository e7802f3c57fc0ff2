<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Catalogue\GeneSigns;
use App\Collection\Opened;
use App\Looks\Gallery;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Train\Carried;
use App\Train\Examiner;
use App\Train\Photographed;
use App\Train\Round;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Rounds of questions that train the eye. */
class TrainController extends Controller
{
    public function __construct(private readonly Opened $opened, private readonly CatalogueShelf $shelf) {}

    public function show(Request $request, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('read');
        $round = $this->round($request, $keeper);
        $catalogue = $this->shelf->catalogue();
        $nameOf = function (string $item) use ($catalogue): string {
            $parts = explode(':', $item);
            $names = array_map(fn (string $gene): string => $catalogue->alleles[$gene]->name ?? $gene, array_slice($parts, 1));

            return match ($parts[0]) {
                'odds' => 'Odds', 'photo' => 'Your own photographs', 'young' => implode(' with ', $names),
                default => implode(' or ', $names),
            };
        };

        return view(
            'train.show',
            [
                'round' => $round, 'state' => $round->state(), 'last' => $round->last(), 'question' => $round->question(),
                'nameOf' => $nameOf,
            ],
        );
    }

    public function begin(Request $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('read');
        $this->round($request, $keeper)->begin(random_int(1, 900_000));

        return redirect()->route('train');
    }

    public function answer(Request $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('read');
        $valid = $request->validate(
            ['at' => ['required', 'integer', 'between:0,99'], 'choice' => ['required', 'integer', 'between:0,9']],
            ['choice' => 'Choose one of the answers.'],
        );
        $this->round($request, $keeper)->answer((int) $valid['at'], (int) $valid['choice']);

        return redirect()->route('train');
    }

    public function next(Request $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('read');
        $round = $this->round($request, $keeper);
        $request->boolean('end') ? $round->end() : $round->goOn();

        return redirect()->route('train');
    }

    private function round(Request $request, User $keeper): Round
    {
        $own = (new Carried($this->opened))->alleles();
        $photos = (new Photographed($this->opened))->genes();

        return new Round(
            $keeper, (string) $request->user()?->name, $request->session(),
            new Examiner(new Gallery($this->shelf), $own, new GeneSigns($this->shelf), $photos),
        );
    }
}
