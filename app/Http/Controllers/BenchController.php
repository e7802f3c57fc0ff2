<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\Bench;
use App\Clutch\IdentifyPage;
use App\Collection\Opened;
use App\Http\Requests\AlikeRequest;
use App\Http\Requests\SightingRequest;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Looks\StatePictures;
use App\Models\Clutch;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Hatchlings told apart side by side. */
class BenchController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    public function show(Clutch $clutch): View
    {
        $this->authorize('view', $clutch);

        $bench = new Bench($clutch, $this->opened);

        return view(
            'clutches.bench',
            [
                'bench' => $bench, 'page' => new IdentifyPage($bench, $this->opened->kept), 'clutch' => $clutch,
                'prints' => new Prints(new Gallery($this->opened->shelf), kept: $this->opened->kept),
                'pictures' => new StatePictures($this->opened->shelf), 'mark' => (string) $this->opened->kept->mark(),
            ],
        );
    }

    /** One hatchling, one question after another. */
    public function identify(Request $request, Clutch $clutch, ?int $animal = null): View|RedirectResponse
    {
        $this->authorize('view', $clutch);
        $page = new IdentifyPage(
            new Bench($clutch, $this->opened), $this->opened->kept, $animal, $request->query('order') === IdentifyPage::BY_PLACE,
        );
        abort_if($animal !== null && $page->animal === null, 404);
        if ($page->animal === null || $page->bench->why !== null) {
            return redirect()->route('bench', $clutch);
        }
        $gallery = new Gallery($this->opened->shelf);
        $one = $page->animal;

        return view('clutches.identify', [
            'page' => $page, 'clutch' => $clutch, 'animal' => $one, 'known' => $page->known($one), 'next' => $page->next($one),
            'questions' => $page->questions(), 'places' => $page->byPlace ? ['order' => IdentifyPage::BY_PLACE] : [],
            'own' => $gallery->ofBelief($page->bench->belief($one), $page->bench->days($one) ?? 0, $one->id),
            'prints' => new Prints($gallery, kept: $this->opened->kept), 'pictures' => new StatePictures($this->opened->shelf),
            'mark' => (string) $this->opened->kept->mark(), 'may' => Gate::allows('log', $clutch),
        ]);
    }

    public function see(SightingRequest $request, Clutch $clutch): RedirectResponse|JsonResponse
    {
        $request->write();
        $animal = (int) $request->validated('animal');
        if ($request->expectsJson()) {
            return response()->json((new IdentifyPage(new Bench($clutch, $this->opened), $this->opened->kept, $animal))->answer());
        }
        $isOne = $request->input('from') === 'identify';

        return redirect()->to(
            $isOne ? route('identify', [$clutch, $animal]) : route('bench', $clutch).'#cue-'.$request->validated('cue'),
        );
    }

    /** Two or more hatchlings are the same for something. */
    public function alike(AlikeRequest $request, Clutch $clutch): RedirectResponse
    {
        $request->tie();

        return redirect()->route('bench', $clutch)->with('said', 'Tied: all of them, or none.');
    }
}
