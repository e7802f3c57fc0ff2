<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Animals\AnimalPage;
use App\Animals\AnimalSearch;
use App\Animals\History;
use App\Animals\OpenNames;
use App\Animals\RackView;
use App\Animals\TubOptions;
use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Candidates;
use App\Collection\Numbering;
use App\Collection\Opened;
use App\House\House;
use App\Http\Requests\AnimalRequest;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Models\Animal;
use App\Models\CareEntry;
use App\Models\User;
use App\Money\Book;
use App\People\CurrentKeeper;
use App\Projects\Workshop;
use App\Projects\WorthWords;
use Destino\Genome\Sex;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;

class AnimalController extends Controller
{
    /** Cards hold drawings; the lines of a list are light, and are sorted and chosen from as a whole. */
    private const PER_PAGE = ['list' => 500, 'cards' => 60];

    /** As many as one looks through while typing. */
    private const NAMES = 20;

    public function __construct(private readonly Opened $opened, private readonly CatalogueShelf $shelf, private readonly House $house) {}

    public function index(Request $request, #[CurrentKeeper] User $keeper): Response
    {
        $this->authorize('read');
        $search = new AnimalSearch($request, $this->shelf, $this->house);
        $beliefs = $this->opened->beliefs();
        $found = $search->in($keeper, $beliefs);
        $most = self::PER_PAGE[$search->view] ?? self::PER_PAGE['cards'];
        $page = min(max(1, (int) $request->integer('page', 1)), max(1, (int) ceil(count($found) / $most)));
        $shown = $search->view === 'rack' ? $found : array_slice($found, ($page - 1) * $most, $most);
        $colour = $request->query('colour') === 'readiness' ? 'readiness' : 'status';
        $this->load($shown, $search, $colour);

        return response()->view('animals.index', [
            'search' => $search,
            'cards' => $shown,
            'house' => $this->house,
            'prints' => new Prints(new Gallery($this->shelf), isFine: true, kept: $this->opened->kept, isLoose: true),
            'rackView' => $search->view === 'rack' ? new RackView($keeper, $shown, $this->house, $colour) : null,
            'pages' => (
                new LengthAwarePaginator($shown, count($found), $most, $page, ['path' => route('animals.index')])
            )->withQueryString(),
            'all' => $keeper->animals()->count(), 'open' => $keeper->animals()->whereNotNull('genes_open')->count(),
            'racks' => $keeper->racks()->get(),
            'saved' => $keeper->savedSearches()->get(),
        ], $search->error === null ? 200 : 422);
    }

    /** Animals whose name or number has what is typed, to choose one of; of one sex, those that are here, also by their genes. */
    public function names(Request $request, #[CurrentKeeper] User $keeper): JsonResponse
    {
        $this->authorize('read');
        $find = mb_substr(is_string($request->query('find')) ? trim($request->query('find')) : '', 0, 80);
        $sex = Sex::tryFrom(is_string($request->query('sex')) ? $request->query('sex') : '');
        if ($sex !== null) {
            return response()->json((new Candidates($keeper, $this->opened->beliefs()))->suggested($sex->value, $find));
        }
        $animals = $keeper->animals()->where(fn (Builder $any) => $any->whereLike('name', "%{$find}%")->orWhereLike('number', "%{$find}%"))
            ->orderBy('name')->limit(self::NAMES)->get(['id', 'user_id', 'name', 'number']);

        return response()->json([
            'animals' => $animals->map(fn (Animal $one): array => [
                'id' => $one->id, 'label' => implode(' · ', array_filter([$one->name, $one->number])),
            ])->all(),
        ]);
    }

    public function create(Request $request, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('manage');
        $blank = new Animal([
            'name' => mb_substr((string) $request->query('name'), 0, 80), 'number' => null,
            'sex' => Sex::tryFrom((string) $request->query('sex')), 'sex_found' => null, 'notes' => '', 'hatched_on' => null,
            'source' => null, 'acquired_on' => null, 'price_cents' => null, 'sire_id' => null, 'sire_name' => null,
            'dam_id' => null, 'dam_name' => null,
        ]);

        return view(
            'animals.form',
            [
                'animal' => $blank, 'token' => (string) Str::uuid(), 'candidates' => $this->candidates($keeper),
                'next' => Numbering::next($keeper, $this->house, (int) now()->format('Y')), 'house' => $this->house,
                'tubs' => TubOptions::free($keeper),
            ],
        );
    }

    public function store(AnimalRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $animal = $request->addTo($keeper, $this->house);

        $taken = $request->takenWords();

        return redirect()->route('animals.show', $animal)
            ->with('said', "{$animal->name} is in the collection".($taken === '' ? '.' : ", {$taken}, as written beside the genes."));
    }

    public function show(Animal $animal, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('view', $animal);

        return view(
            'animals.show',
            [
                'page' => new AnimalPage($animal, $this->opened), 'animal' => $animal, 'house' => $this->house,
                'named' => (new OpenNames($keeper, $animal))->young(),
                'token' => (string) Str::uuid(), 'gallery' => new Gallery($this->shelf),
                'worths' => (new WorthWords($keeper, new Workshop($this->opened)))->ofAnimal($animal->id),
                'price' => (new Book($this->opened))->of($animal),
            ],
        );
    }

    /** It is the one that others name as their parent. */
    public function link(Animal $animal, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('manage', $animal);
        $count = (new OpenNames($keeper, $animal))->link();

        return redirect()->route('animals.show', $animal)->with(
            'said', $count === 0 ? 'No record names this parent any more.' : "{$animal->name} is now a parent of {$count}.",
        );
    }

    public function history(Animal $animal): View
    {
        $this->authorize('view', $animal);

        return view('animals.history', ['animal' => $animal, 'history' => History::of($animal, Gate::allows('money', $animal))]);
    }

    public function edit(Animal $animal, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('manage', $animal);

        return view(
            'animals.form',
            [
                'animal' => $animal, 'token' => null, 'candidates' => $this->candidates($keeper, $animal), 'next' => null,
                'house' => $this->house,
            ],
        );
    }

    public function update(AnimalRequest $request, Animal $animal): RedirectResponse
    {
        $request->change($animal);

        return redirect()->route('animals.show', $animal)->with('said', 'Saved.');
    }

    /**
     * Loads what the view of the shown cards needs, and no more.
     *
     * @param  list<AnimalCard>  $cards
     */
    private function load(array $cards, AnimalSearch $search, string $colour): void
    {
        $animals = new Collection(array_map(fn (AnimalCard $card): Animal => $card->animal, $cards));
        if ($search->view !== 'rack') {
            $animals->loadMissing('rack');
        }
        if (! $search->ready && ($search->view === 'cards' || ($search->view === 'rack' && $colour === 'readiness'))) {
            AnimalCard::weigh($cards);
        }
        if ($search->view === 'cards') {
            $animals->loadMissing('latestPhoto');
        }
        if ($search->view === 'list') {
            CareEntry::loadLatest($animals);
        }
    }

    /** @return array<string, list<Animal>> possible parents by sex */
    private function candidates(User $keeper, ?Animal $animal = null): array
    {
        $candidates = [Sex::Male->value => [], Sex::Female->value => []];
        /** @var Animal $other */
        foreach ($keeper->animals()->whereNotNull('sex')->orderBy('name')->get(['id', 'name', 'sex']) as $other) {
            if ($animal === null || $other->id !== $animal->id) {
                $candidates[$other->sex->value ?? ''][] = $other;
            }
        }

        return $candidates;
    }
}
