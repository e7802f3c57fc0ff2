<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\Bench;
use App\Clutch\IdentifyPage;
use App\Clutch\PhotosAtAge;
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

    public function show(Request $request, Clutch $clutch): View
    {
        $this->authorize('view', $clutch);

        $bench = new Bench($clutch, $this->opened);

        return view(
            'clutches.bench',
            [
                'bench' => $bench, 'page' => new IdentifyPage($bench, $this->opened->kept), 'clutch' => $clutch,
                'prints' => new Prints(new Gallery($this->opened->shelf), kept: $this->opened->kept),
                'pictures' => new StatePictures($this->opened->shelf), 'mark' => (string) $this->opened->kept->mark(),
                'photos' => new PhotosAtAge($clutch, $request->filled('age') ? $request->integer('age') : null),
            ],
        );
    }

    /** One hatchling, one question after another. */
    public function identify(Request $request, Clutch $clutch, ?int $animal = null): View|RedirectResponse
    {
        $this->authorize('view', $clutch);
        $page = new IdentifyPage(
            new Bench($clutch, $this->opened), $this->opened->kept, $animal, $request->query('order') === IdentifyPage::BY_PLACE,
            $request->integer('beside') ?: null,
        );
        abort_if($animal !== null && $page->animal === null, 404);
        if ($page->animal === null || $page->bench->why !== null) {
            return redirect()->route('bench', $clutch);
        }
        $gallery = new Gallery($this->opened->shelf);
        $looks = [];
        foreach ($page->animals() as $one) {
            $looks[$one->id] = $gallery->ofBelief($page->bench->belief($one), $page->bench->days($one) ?? 0, $one->id);
        }

        return view('clutches.identify', [
            'page' => $page, 'clutch' => $clutch, 'animal' => $page->animal, 'next' => $page->next($page->animal),
            'questions' => $page->questions(), 'places' => $page->byPlace ? ['order' => IdentifyPage::BY_PLACE] : [],
            'looks' => $looks, 'prints' => new Prints($gallery, kept: $this->opened->kept),
            'pictures' => new StatePictures($this->opened->shelf), 'mark' => (string) $this->opened->kept->mark(),
            'may' => Gate::allows('log', $clutch),
        ]);
    }

    public function see(SightingRequest $request, Clutch $clutch): RedirectResponse|JsonResponse
    {
        $request->write();
        $first = $request->integer('first') ?: (int) $request->validated('animal');
        $beside = $request->integer('beside') ?: null;
        if ($request->expectsJson()) {
            $page = new IdentifyPage(new Bench($clutch, $this->opened), $this->opened->kept, $first, beside: $beside);

            return response()->json(['answers' => (object) $page->answers()]);
        }

        return redirect()->to($request->input('from') === 'identify'
            ? route('identify', array_filter([$clutch, $first, 'beside' => $beside]))
            : route('bench', $clutch).'#cue-'.$request->validated('cue'));
    }

    /** Two or more hatchlings are the same for something. */
    public function alike(AlikeRequest $request, Clutch $clutch): RedirectResponse
    {
        $request->tie();

        return redirect()->route('bench', $clutch)->with('said', 'Tied: all of them, or none.');
    }
}
