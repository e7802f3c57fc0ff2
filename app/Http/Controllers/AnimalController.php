<?php

namespace App\Http\Controllers;

use App\Care\CareLog;
use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\AnimalSearch;
use App\Family\Family;
use App\Family\PedigreeTree;
use App\Http\Requests\AnimalRequest;
use App\Models\Animal;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Str;

class AnimalController extends Controller
{
    private const PER_PAGE = 60;

    public function __construct(private readonly CatalogueShelf $shelf) {}

    public function index(Request $request, #[CurrentUser] User $keeper): Response
    {
        $this->authorize('viewAny', Animal::class);
        $search = new AnimalSearch($request, $this->shelf);
        $found = $search->in($keeper);
        $page = max(1, (int) $request->integer('page', 1));
        $shown = array_slice($found, ($page - 1) * self::PER_PAGE, self::PER_PAGE);

        return response()->view('animals.index', [
            'search' => $search,
            'cards' => $shown,
            'pages' => (new LengthAwarePaginator($shown, count($found), self::PER_PAGE, $page, ['path' => route('animals.index')]))->withQueryString(),
            'all' => $keeper->animals()->count(),
        ], $search->error === null ? 200 : 422);
    }

    public function create(#[CurrentUser] User $keeper): View
    {
        $this->authorize('create', Animal::class);

        return view('animals.form', ['animal' => new Animal(['name' => '', 'genotype' => '', 'notes' => '', 'sire_id' => null, 'sire_name' => null, 'dam_id' => null, 'dam_name' => null]), 'token' => (string) Str::uuid(), 'candidates' => $this->candidates($keeper)]);
    }

    public function store(AnimalRequest $request, #[CurrentUser] User $keeper): RedirectResponse
    {
        $animal = $request->addTo($keeper);

        return redirect()->route('animals.show', $animal)->with('said', "{$animal->name} is in the collection.");
    }

    public function show(Animal $animal, #[CurrentUser] User $keeper): View
    {
        $this->authorize('view', $animal);

        $card = fn (Animal $one): AnimalCard => new AnimalCard($one, $this->shelf->catalogue(), $this->shelf->names());
        /** @var list<Animal> $mates */
        $mates = $keeper->animals()->where('sex', '!=', $animal->sex->value)->orderBy('name')->get()->all();

        $family = Family::of($keeper);

        return view('animals.show', [
            'card' => $card($animal),
            'mates' => array_map($card, $mates),
            'family' => $family,
            'tree' => new PedigreeTree($animal, $family, $this->shelf),
            'log' => new CareLog($animal),
            'token' => (string) Str::uuid(),
            'offspring' => array_map($card, $family->offspringOf($animal)),
        ]);
    }

    public function edit(Animal $animal, #[CurrentUser] User $keeper): View
    {
        $this->authorize('update', $animal);

        return view('animals.form', ['animal' => $animal, 'token' => null, 'candidates' => $this->candidates($keeper, $animal)]);
    }

    public function update(AnimalRequest $request, Animal $animal): RedirectResponse
    {
        $request->change($animal);

        return redirect()->route('animals.show', $animal)->with('said', 'Saved.');
    }

    /** @return array<string, list<Animal>> possible parents by sex */
    private function candidates(User $keeper, ?Animal $animal = null): array
    {
        $candidates = ['male' => [], 'female' => []];
        /** @var Animal $other */
        foreach ($keeper->animals()->orderBy('name')->get() as $other) {
            if ($animal === null || $other->id !== $animal->id) {
                $candidates[$other->sex->value][] = $other;
            }
        }

        return $candidates;
    }
}
