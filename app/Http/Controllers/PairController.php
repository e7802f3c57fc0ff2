<?php

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Family\Family;
use App\Family\Relatedness;
use App\Models\User;
use App\Pairing\Inquiry;
use App\Pairing\OutcomeSheet;
use App\Pairing\PairPage;
use Destino\DestinoError;
use Destino\Pairing\Prediction;
use Destino\Pairing\UnreadableQuestion;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

class PairController extends Controller
{
    public function __construct(private readonly CatalogueShelf $shelf) {}

    public function show(Request $request, #[CurrentUser] User $keeper): Response
    {
        $this->authorize('use-stations');
        $inquiry = new Inquiry($request, $keeper);
        $page = $this->answer($inquiry, (int) config($request->query('rows') === 'all' ? 'destino.all_rows' : 'destino.rows'), $keeper);

        return response()->view('pair.show', $this->parts($inquiry, $page, $keeper), $inquiry->errors === [] ? 200 : 422);
    }

    public function sheet(Request $request, #[CurrentUser] User $keeper): Response
    {
        $this->authorize('use-stations');
        $inquiry = new Inquiry($request, $keeper);
        $page = $this->answer($inquiry, 200, $keeper);

        return $page === null
            ? response()->view('pair.show', $this->parts($inquiry, $page, $keeper), 422)
            : response()->view('pair.sheet', ['page' => $page, 'inquiry' => $inquiry]);
    }

    public function export(Request $request, #[CurrentUser] User $keeper): Response|StreamedResponse
    {
        $this->authorize('use-stations');
        $inquiry = new Inquiry($request, $keeper);
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
            $prediction = Prediction::of($this->shelf->catalogue($inquiry->schools), $inquiry->question(), $this->shelf->names($inquiry->schools));

            return $inquiry->errors === [] ? new PairPage($prediction, $inquiry, $rows, $this->relatedness($inquiry, $keeper)) : null;
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
        return $inquiry->sireAnimal === null || $inquiry->damAnimal === null ? null : Relatedness::of(Family::of($keeper), $inquiry->sireAnimal, $inquiry->damAnimal);
    }

    /** @return array<string, mixed> */
    private function parts(Inquiry $inquiry, ?PairPage $page, User $keeper): array
    {
        return [
            'inquiry' => $inquiry,
            'page' => $page,
            'animals' => $keeper->animals()->orderBy('name')->get()->groupBy(fn ($animal): string => $animal->sex->value),
        ];
    }
}
