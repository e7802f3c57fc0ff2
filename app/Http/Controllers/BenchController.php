<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\Bench;
use App\Clutch\GivenClutch;
use App\Collection\Opened;
use App\Http\Requests\SightingRequest;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Models\Clutch;
use Destino\DestinoError;
use Destino\Identification\AlikeSets;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

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
            ],
        );
    }

    public function see(SightingRequest $request, Clutch $clutch): RedirectResponse
    {
        $request->write();

        return redirect()->to(route('bench', $clutch).'#cue-'.$request->validated('cue'));
    }

    /** Two or more hatchlings are the same for something. */
    public function alike(Request $request, Clutch $clutch): RedirectResponse
    {
        $this->authorize('log', $clutch);
        $valid = $request->validate([
            'target' => ['required', 'string', 'max:400'], 'animals' => ['required', 'array', 'min:2', 'max:60'],
            'animals.*' => ['integer', Rule::exists('animals', 'id')->where('clutch_id', $clutch->id)->whereNull('deleted_at')],
        ], ['target' => 'Say for what they are alike.', 'animals' => 'Choose two hatchlings or more.']);
        try {
            $target = $this->opened->shelf->targets()->read($valid['target']);
            $given = new GivenClutch($clutch, $clutch->hatchlings->keyBy('id')->all(), [], $this->opened);
            AlikeSets::joined([...$given->alike(), ['target' => $target, 'hatchlings' => array_map(strval(...), array_values($valid['animals']))]]);
        } catch (DestinoError $error) {
            throw ValidationException::withMessages(['target' => $error->getMessage()]);
        }
        DB::transaction(
            fn () => $clutch->alikeSets()->create(
                ['target' => $target->text, 'animals' => array_map(intval(...), array_values($valid['animals']))],
            ),
        );

        return redirect()->route('bench', $clutch)->with('said', 'Tied: all of them, or none.');
    }
}
