<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Animals\AnimalPage;
use App\Animals\AnimalSearch;
use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Opened;
use App\House\House;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\User;
use App\Papers\Certificate;
use App\Papers\ClutchStory;
use App\Papers\Label;
use App\Papers\LabelSheets;
use App\Papers\SaleList;
use App\Papers\SecondOpinion;
use App\People\CurrentKeeper;
use App\Photos\Darkroom;
use App\Tables\Sheet;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What is printed, and what is sent to buyers. */
class PaperController extends Controller
{
    public function __construct(private readonly Opened $opened, private readonly CatalogueShelf $shelf, private readonly House $house) {}

    public function animal(Animal $animal): Response
    {
        $this->authorize('view', $animal);

        return self::pdf(Certificate::of(new AnimalPage($animal, $this->opened), $this->opened), Str::slug($animal->name) ?: 'animal');
    }

    /** Labels of the animals that a search finds. */
    public function labels(Request $request, #[CurrentKeeper] User $keeper): Response|RedirectResponse
    {
        $this->authorize('read');
        $cards = $this->found($request, $keeper);
        if ($cards === []) { // the list itself says why
            return redirect()->route('animals.index', $request->query());
        }

        return self::pdf(LabelSheets::of(array_map(fn (AnimalCard $card): Label => Label::in($this->opened, $card), $cards)), 'labels');
    }

    public function sale(string $format, Request $request, #[CurrentKeeper] User $keeper): StreamedResponse
    {
        $this->authorize('read');
        $cards = array_values(array_filter(
            $this->found($request, $keeper), fn (AnimalCard $card): bool => in_array($card->status(), SaleList::OFFERED, true),
        ));

        $currency = Gate::allows('money') ? $this->house->currency() : null;

        return Sheet::download(
            'destino-offered-'.now()->format('Y-m-d'), $format, [...SaleList::HEADINGS, ...($currency === null ? [] : SaleList::PRICE)],
            fn (): iterable => SaleList::rows($cards, $currency, $this->opened),
        );
    }

    /** One page to ask somebody with, and what they said. */
    public function opinion(Animal $animal, Request $request, Darkroom $darkroom): View
    {
        $this->authorize('view', $animal);

        return view('papers.opinion', ['of' => $this->asked($animal, $request, $darkroom)]);
    }

    public function opinionFile(Animal $animal, Request $request, Darkroom $darkroom): Response
    {
        $this->authorize('view', $animal);

        return response()->view('papers.file', [
            'of' => $this->asked($animal, $request, $darkroom), 'title' => "{$animal->name}: what do you see?", 'body' => 'papers.opinion-body',
        ])
            ->header('Content-Disposition', 'attachment; filename="'.(Str::slug($animal->name) ?: 'animal').'.html"');
    }

    /** The story of a clutch, as a page to look at before it is sent. */
    public function story(Clutch $clutch, Darkroom $darkroom): View
    {
        $this->authorize('view', $clutch);

        return view('papers.story', ['of' => new ClutchStory($clutch, $this->opened, $darkroom)]);
    }

    public function storyFile(Clutch $clutch, Darkroom $darkroom): Response
    {
        $this->authorize('view', $clutch);

        return response()->view('papers.file', [
            'of' => new ClutchStory($clutch, $this->opened, $darkroom), 'title' => $clutch->title(), 'body' => 'papers.story-body',
        ])->header('Content-Disposition', 'attachment; filename="'.(Str::slug($clutch->title()) ?: 'clutch').'.html"');
    }

    private function asked(Animal $animal, Request $request, Darkroom $darkroom): SecondOpinion
    {
        $question = $request->query('question');

        return new SecondOpinion($animal, is_string($question) ? trim(mb_substr($question, 0, 1000)) : '', $this->opened, $darkroom);
    }

    /** @return list<AnimalCard> */
    private function found(Request $request, User $keeper): array
    {
        $search = new AnimalSearch($request, $this->shelf, $this->house);
        $cards = $search->in($keeper, $this->opened->beliefs());
        (
            new Collection(array_map(fn (AnimalCard $card): Animal => $card->animal, $cards))
        )->loadMissing('rack', 'latestStatus', 'latestWeight', 'sale');

        return $cards;
    }

    private static function pdf(string $bytes, string $name): Response
    {
        return response($bytes, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}.pdf\""]);
    }
}
