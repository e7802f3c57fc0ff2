<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\EggTray;
use App\Clutch\StillToCome;
use App\Collection\Opened;
use App\Http\Requests\CandlingRequest;
use App\Http\Requests\EggRequest;
use App\Http\Requests\EggWeightsRequest;
use App\Models\Clutch;
use App\Models\ClutchEvent;
use App\Models\Egg;
use App\Models\Enums\EventKind;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** The box of a clutch: where its eggs lie, and what happens to each. */
class EggController extends Controller
{
    /** In the session: the events of the candling that can be undone. */
    private const UNDO = 'undo_candling';

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

    public function weights(EggWeightsRequest $request, Clutch $clutch): RedirectResponse|JsonResponse
    {
        $rows = $request->write();
        $kept = count(array_filter($rows, fn (array $row): bool => $row['state'] === 'kept'));

        return $request->expectsJson()
            ? response()->json(['rows' => (object) $rows])
            : redirect()->route('eggs', $clutch)->with('said', $kept === 0
                ? 'No weight was changed.' : $kept.' egg '.($kept === 1 ? 'weight' : 'weights').' saved.');
    }

    public function candle(CandlingRequest $request, Clutch $clutch): RedirectResponse
    {
        $events = $request->addTo($clutch);
        $answer = redirect()->route('eggs', $clutch);
        if ($events === []) {
            return $answer->with('said', 'This candling is saved already.');
        }
        $request->session()->put(self::UNDO, array_map(fn (ClutchEvent $event): int => $event->id, $events));
        $veins = count(array_filter($events, fn (ClutchEvent $event): bool => $event->kind === EventKind::Veins));

        return $answer->with('said', "Candled: veins in {$veins} of ".count($events).'.')
            ->with('undo', route('eggs.candled.undo', $clutch));
    }

    public function undoCandling(Request $request, Clutch $clutch): RedirectResponse
    {
        $this->authorize('log', $clutch);
        $ids = $request->session()->pull(self::UNDO, []);
        $events = $clutch->events()->whereKey(is_array($ids) ? $ids : [])->get();
        DB::transaction(fn () => $events->each->delete());

        return redirect()->route('eggs', $clutch)
            ->with('said', $events->isEmpty() ? 'There is nothing left to undo.' : 'The candling is undone.');
    }
}
