<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\Bench;
use App\Collection\Opened;
use App\Http\Requests\AlikeRequest;
use App\Http\Requests\SightingRequest;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Looks\StatePictures;
use App\Models\Clutch;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Hatchlings told apart side by side. */
class BenchController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    public function show(Clutch $clutch): View
    {
        $this->authorize('view', $clutch);

        return view(
            'clutches.bench',
            [
                'bench' => new Bench($clutch, $this->opened), 'clutch' => $clutch,
                'prints' => new Prints(new Gallery($this->opened->shelf), kept: $this->opened->kept),
                'pictures' => new StatePictures($this->opened->shelf), 'mark' => (string) $this->opened->kept->mark(),
            ],
        );
    }

    public function see(SightingRequest $request, Clutch $clutch): RedirectResponse
    {
        $request->write();

        return redirect()->to(route('bench', $clutch).'#cue-'.$request->validated('cue'));
    }

    /** Two or more hatchlings are the same for something. */
    public function alike(AlikeRequest $request, Clutch $clutch): RedirectResponse
    {
        $request->tie();

        return redirect()->route('bench', $clutch)->with('said', 'Tied: all of them, or none.');
    }
}
