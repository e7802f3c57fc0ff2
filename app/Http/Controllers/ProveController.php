<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Animals\AnimalPage;
use App\Catalogue\CatalogueShelf;
use App\Collection\Opened;
use App\House\House;
use App\Http\Requests\DecisionRequest;
use App\Models\Animal;
use App\Models\User;
use App\Papers\Label;
use App\People\CurrentKeeper;
use App\Prove\ContradictionDesk;
use App\Prove\Design;
use App\Prove\Digest;
use App\Prove\DisputedFacts;
use App\Prove\EvidencePage;
use App\Prove\OpenQuestions;
use App\Prove\Question;
use App\Prove\Surer;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;

/** What the offspring say about their parents. */
class ProveController extends Controller
{
    public function __construct(private readonly Opened $opened, private readonly CatalogueShelf $shelf, private readonly House $house) {}

    public function index(#[CurrentKeeper] User $keeper): View
    {
        $this->authorize('read');
        $beliefs = $this->opened->beliefs();
        $disputed = new DisputedFacts($this->opened);

        return view('prove.index', [
            'disputed' => $disputed, 'facts' => $disputed->all(),
            'hasAnimals' => $keeper->animals()->exists(),
            'questions' => (new OpenQuestions($keeper, $beliefs, $this->shelf, $this->opened->kept))->ranked(),
            'desk' => new ContradictionDesk($keeper, $beliefs, $this->shelf),
            'digest' => new Digest($keeper, $beliefs),
            'traits' => $keeper->oddTraits()->withCount('entries')->orderBy('name')->get(), 'token' => (string) Str::uuid(),
            'error' => $beliefs->kin->error(),
        ]);
    }

    /** What stands on the label of an animal, and what would make it surer. */
    public function surer(Animal $animal): View
    {
        $this->authorize('view', $animal);
        $page = new AnimalPage($animal, $this->opened);

        return view('prove.surer', [
            'animal' => $animal, 'label' => Label::in($this->opened, $page->card), 'surer' => new Surer($animal, $this->opened),
        ]);
    }

    /** What does not fit at one animal, to be shown where its mark stands. */
    public function puzzle(Animal $animal): View
    {
        $this->authorize('view', $animal);

        return view('prove.puzzle', ['page' => new AnimalPage($animal, $this->opened), 'animal' => $animal]);
    }

    /** The evidence on one animal, group by group. */
    public function animal(Animal $animal): View
    {
        $this->authorize('view', $animal);

        return view('prove.animal', ['animal' => $animal, 'page' => new EvidencePage($animal, $this->opened)]);
    }

    /** Which mate answers a question soonest. */
    public function design(Animal $animal, string $group, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('view', $animal);
        $known = $this->shelf->catalogue()->groups[$group] ?? abort(404);
        $beliefs = $this->opened->beliefs();
        $question = new Question($animal, $beliefs->belief($animal->id), $known, $this->shelf->catalogue());

        return view(
            'prove.design',
            [
                'design' => new Design($question, $keeper, $beliefs, $this->shelf, $this->house), 'question' => $question,
                'animal' => $animal,
            ],
        );
    }

    public function decide(DecisionRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $request->addTo($keeper);

        [$from, $id] = explode('-', (string) ($request->validated('from') ?? 'prove-0'));

        return redirect()->to(match ($from) {
            'animal' => route('animals.show', $id), 'clutch' => route('clutches.show', $id), default => route('prove'),
        })->with('said', 'Decision saved. The odds are being updated.');
    }

    /** What has changed is read; from now on changes count from here. */
    public function read(#[CurrentKeeper] User $keeper): RedirectResponse
    {
        $this->authorize('manage');
        (new Digest($keeper, $this->opened->beliefs()))->read();

        return redirect()->route('prove')->with('said', 'Noted. From now on you are told what changes after today.');
    }
}
