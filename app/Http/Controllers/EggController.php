<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\EggTray;
use App\Clutch\StillToCome;
use App\Collection\Opened;
use App\Http\Requests\EggRequest;
use App\Models\Clutch;
use App\Models\Egg;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** The box of a clutch: where its eggs lie, and what happens to each. */
class EggController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    public function show(Request $request, Clutch $clutch): View
    {
        $this->authorize('view', $clutch);
        $egg = (string) $request->query('egg', '');
        $tray = new EggTray($clutch, $this->opened->house, ctype_digit($egg) && strlen($egg) < 16 ? (int) $egg : null);
        $still = new StillToCome($clutch, (string) $request->query('target', ''), $this->opened);

        return view('clutches.eggs', ['tray' => $tray, 'clutch' => $clutch, 'still' => $still]);
    }

    public function layOut(Clutch $clutch): RedirectResponse
    {
        $this->authorize('log', $clutch);
        $made = DB::transaction(function () use ($clutch): int {
            Clutch::query()->lockForUpdate()->findOrFail($clutch->id); // two taps lay out once

            return EggTray::layOut($clutch);
        });

        return redirect()->route('eggs', $clutch)->with('said', match (true) {
            $made > 0 => "{$made} ".($made === 1 ? 'egg lies' : 'eggs lie').' in the box. Drag them to where they are.',
            default => 'The box shows as many eggs as were laid.',
        });
    }

    public function update(EggRequest $request, Egg $egg): RedirectResponse|JsonResponse
    {
        $egg = $request->change();

        return $request->expectsJson()
            ? response()->json(['across' => $egg->across, 'down' => $egg->down])
            : redirect()->route('eggs', [$egg->clutch_id, 'egg' => $egg->id])->with('said', "Egg {$egg->number} saved.");
    }
}
