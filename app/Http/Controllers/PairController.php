<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Collection\AnimalCard;
use App\Collection\Beliefs;
use App\Collection\Candidates;
use App\Collection\Opened;
use App\Family\Relatedness;
use App\Health\Malformed;
use App\House\House;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Models\User;
use App\Pairing\BestMates;
use App\Pairing\Inquiry;
use App\Pairing\Lately;
use App\Pairing\OutcomeSheet;
use App\Pairing\PairPage;
use App\People\CurrentKeeper;
use App\Projects\AskedFor;
use App\Projects\Workshop;
use App\Projects\WorthWords;
use Destino\DestinoError;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\Asking\UnreadableQuestion;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

class PairController extends Controller
{
    private ?Beliefs $beliefs = null;

    public function __construct(private readonly Opened $opened, private readonly CatalogueShelf $shelf, private readonly House $house) {}

    public function show(Request $request, #[CurrentKeeper] User $keeper): Response
    {
        $this->authorize('read');
        $inquiry = new Inquiry($request, $keeper, $this->beliefs($keeper));
        if (BestMates::isAsked($inquiry)) {
            $mates = new BestMates($inquiry, $this->opened);
            $mates->error === null ?: $inquiry->errors['target'] = $mates->error;

            $served = (new WorthWords($keeper, new Workshop($this->opened)))->served();

            return response()->view(
                'pair.show', ['mates' => $mates, 'served' => $served] + $this->parts($inquiry, null, $keeper),
                $mates->error === null ? 200 : 422,
            );
        }
        $page = $this->answer($inquiry, (int) config($request->query('rows') === 'all' ? 'destino.all_rows' : 'destino.rows'), $keeper);
        $lately = new Lately($request->session());
        if ($page !== null && ! $request->headers->has('X-Live')) { // what is passed through while typing was not looked at
            $lately->note($inquiry, $page);
        }

        return response()->view(
            'pair.show', [
                'lately' => $lately->all(), 'grants' => $inquiry->isAsked() ? [] : AskedFor::of($this->opened),
            ] + $this->parts($inquiry, $page, $keeper), $inquiry->errors === [] ? 200 : 422,
        );
    }

    public function sheet(Request $request, #[CurrentKeeper] User $keeper): Response
    {
        $this->authorize('read');
        $inquiry = new Inquiry($request, $keeper, $this->beliefs($keeper));
        $page = $this->answer($inquiry, 200, $keeper);

        return $page === null
            ? response()->view('pair.show', $this->parts($inquiry, $page, $keeper), 422)
            : response()->view(
                'pair.sheet',
                ['page' => $page, 'inquiry' => $inquiry, 'prints' => new Prints(new Gallery($this->shelf), kept: $this->opened->kept)],
            );
    }

    public function export(Request $request, #[CurrentKeeper] User $keeper): Response|StreamedResponse
    {
        $this->authorize('read');
        $inquiry = new Inquiry($request, $keeper, $this->beliefs($keeper));
        $page = $this->answer($inquiry, 1, $keeper);

        return $page === null
            ? response()->view('pair.show', $this->parts($inquiry, $page, $keeper), 422)
            : OutcomeSheet::download($page->prediction, (int) config('destino.export_rows'));
    }

    /** The answer, or null with the reasons in the inquiry. */
    private function answer(Inquiry $inquiry, int $rows, User $keeper): ?PairPage
    {
        if (! $inquiry->isAsked()) {
            return null;
        }
        try {
            $prediction = Prediction::of(
                $this->shelf->catalogue($inquiry->schools), $inquiry->question(), $this->shelf->names($inquiry->schools),
                $this->shelf->lines, $inquiry->known(), $this->shelf->isSlashEither, $this->shelf->catalogue(...),
            );

            if ($inquiry->errors !== []) {
                return null;
            }
            $relatedness = $this->relatedness($inquiry, $keeper);

            return new PairPage($prediction, $inquiry, $rows, $relatedness, $this->house, $this->shelf, $this->opened->kept);
        } catch (UnreadableQuestion $error) {
            foreach ($error->errors as $field => $errors) {
                $inquiry->errors[$field] ??= implode(' ', array_map(fn (DestinoError $each): string => $each->getMessage(), $errors));
            }
        } catch (DestinoError $error) {
            $inquiry->errors['pairing'] = $error->getMessage();
        }

        return null;
    }

    private function relatedness(Inquiry $inquiry, User $keeper): ?Relatedness
    {
        return $inquiry->sireAnimal === null || $inquiry->damAnimal === null
            ? null
            : Relatedness::of($this->opened->family(), $inquiry->sireAnimal, $inquiry->damAnimal, $this->house->relatednessLimit());
    }

    /** @return array<string, mixed> */
    private function parts(Inquiry $inquiry, ?PairPage $page, User $keeper): array
    {
        return [
            'inquiry' => $inquiry,
            'page' => $page, 'mates' => null, 'lately' => [], 'grants' => [],
            'candidates' => new Candidates($keeper, $this->beliefs($keeper)),
            'beliefs' => $this->beliefs($keeper),
            'house' => $this->house, 'prints' => new Prints($gallery = new Gallery($this->shelf), kept: $this->opened->kept, isLoose: true),
            'gallery' => $gallery,
            'malformed' => $this->malformedBefore($inquiry, $keeper),
            'worths' => $inquiry->sireAnimal === null || $inquiry->damAnimal === null
                ? []
                : (new WorthWords($keeper, new Workshop($this->opened)))->ofPair($inquiry->sireAnimal->id, $inquiry->damAnimal->id),
            'parents' => array_filter([$inquiry->sireAnimal, $inquiry->damAnimal]) === [] ? [] : $this->parents($inquiry, $keeper),
        ];
    }

    private function beliefs(User $keeper): Beliefs
    {
        return $this->beliefs ??= $this->opened->beliefs();
    }

    /** @return list<AnimalCard> the chosen parents, for their readiness */
    private function parents(Inquiry $inquiry, User $keeper): array
    {
        $cards = [];
        foreach (array_filter([$inquiry->sireAnimal, $inquiry->damAnimal]) as $animal) {
            $animal->loadMissing('latestStatus');
            $cards[] = new AnimalCard($animal, $this->beliefs($keeper), $this->shelf->catalogue());
        }

        return $cards;
    }

    /** What was seen in young of the same two before. */
    private function malformedBefore(Inquiry $inquiry, User $keeper): ?Malformed
    {
        [$sire, $dam] = [$inquiry->sireAnimal, $inquiry->damAnimal];

        return $sire === null || $dam === null ? null : new Malformed(
            $keeper->clutches()->where('dam_id', $dam->id)->whereHas('sires', fn ($of) => $of->where('animal_id', $sire->id))
                ->with('hatchlings.observations')->get(),
            $this->opened,
        );
    }
}
