<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\FirstDay;
use App\Collection\Opened;
use App\Http\Requests\FirstDayRequest;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Models\Animal;
use App\Models\Clutch;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;

/** The hatchlings of a clutch one after another: sex, weight, look. */
class FirstDayController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    public function show(Clutch $clutch): View
    {
        $this->authorize('log', $clutch);

        return view('clutches.first', [
            'page' => new FirstDay($clutch, $this->opened), 'clutch' => $clutch, 'token' => (string) Str::uuid(),
            'prints' => new Prints(new Gallery($this->opened->shelf), kept: $this->opened->kept),
            'mayManage' => Gate::allows('manage', $clutch), 'unit' => $this->opened->house->weightUnit(),
        ]);
    }

    public function store(FirstDayRequest $request, Animal $animal): RedirectResponse|JsonResponse
    {
        $said = $request->write();

        return $request->expectsJson() ? response()->json(['said' => $said]) : redirect()->back()->with('said', "{$said}.");
    }
}
