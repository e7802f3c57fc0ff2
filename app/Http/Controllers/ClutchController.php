<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\ClutchPage;
use App\Collection\Opened;
use App\House\House;
use App\Http\Requests\ClutchRequest;
use App\Http\Requests\CountRequest;
use App\Http\Requests\HatchlingRequest;
use App\Http\Requests\HatchlingsRequest;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Models\Animal;
use App\Models\Clutch;
use App\Models\User;
use App\People\CurrentKeeper;
use App\Season\Due;
use App\Season\Records;
use Destino\Genome\Sex;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

class ClutchController extends Controller
{
    public function __construct(private readonly Opened $opened, private readonly House $house) {}

    public function index(#[CurrentKeeper] User $keeper): View
    {
        $this->authorize('read');
        $clutches = $keeper->clutches()->with('dam', 'sires.animal', 'counts', 'eggs', 'hatchlings')->get()
            ->sortByDesc(
                fn (Clutch $clutch): string => $clutch->season().'-'.(
                    $clutch->hatched_on ?? $clutch->laid_on ?? $clutch->paired_on
                )?->format('m-d').'-'.$clutch->id,
            )
            ->groupBy(fn (Clutch $clutch): string => $clutch->season());

        $due = [];
        foreach (Due::among($keeper, Carbon::today()) as $one) {
            $due[$one->clutch->id] = $one;
        }

        return view('clutches.index', ['seasons' => $clutches, 'due' => $due, 'now' => Carbon::today()->format('Y')]);
    }

    public function create(Request $request, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('log');
        $clutch = new Clutch(
            array_fill_keys(
                ['label', 'target', 'paired_on', 'laid_on', 'eggs_good', 'eggs_infertile', 'hatched_on', 'hatched', 'reason', 'notes'],
                null,
            ) + ['target' => mb_substr((string) $request->query('target', ''), 0, 400) ?: null] + [
                'dam_id' => ctype_digit((string) $request->query('dam_id')) ? (int) $request->query('dam_id') : null,
            ],
        );

        return view(
            'clutches.form',
            [
                'clutch' => $clutch, 'chosen' => array_filter([(string) $request->query('sire_id')]), 'outside' => '', 'kept' => null,
                'token' => (string) Str::uuid(),
            ] + $this->candidates($keeper),
        );
    }

    public function store(ClutchRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $clutch = $request->addTo($keeper);

        return redirect()->route('clutches.show', $clutch)->with('said', "{$clutch->title()} added.");
    }

    public function show(Request $request, Clutch $clutch): View
    {
        $this->authorize('view', $clutch);
        $page = new ClutchPage($clutch, $this->opened, (string) $request->query('target', ''));
        $records = new Records($this->opened->keeper()->clutches()->with('dam', 'incubator')->get());

        return view(
            'clutches.show',
            [
                'due' => Due::of($clutch, $records, Carbon::today()), 'page' => $page, 'clutch' => $clutch, 'token' => (string) Str::uuid(),
                'prints' => new Prints(new Gallery($this->opened->shelf), kept: $this->opened->kept, isLoose: true),
            ],
        );
    }

    public function edit(Clutch $clutch, #[CurrentKeeper] User $keeper): View
    {
        $this->authorize('log', $clutch);
        $clutch->load('sires.animal', 'dam');

        return view('clutches.form', [
            'clutch' => $clutch, 'token' => null,
            'kept' => $clutch->sires->firstWhere('kept', '!==', null),
            'chosen' => $clutch->sires->whereNull('kept')->pluck('animal_id')->filter()->map(strval(...))->all(),
            'outside' => (string) $clutch->sires->firstWhere('animal_id', null)?->name,
        ] + $this->candidates($keeper));
    }

    public function update(ClutchRequest $request, Clutch $clutch): RedirectResponse
    {
        $request->change($clutch);

        return redirect()->route('clutches.show', $clutch)->with('said', 'Saved.');
    }

    public function count(CountRequest $request, Clutch $clutch): RedirectResponse
    {
        $count = $request->addTo($clutch);

        return redirect()->route('clutches.show', $clutch)->with('said', "Noted: {$count->sentence()}");
    }

    /** All at once, and then one after the other to be identified. */
    public function hatchlings(HatchlingsRequest $request, Clutch $clutch): RedirectResponse
    {
        $count = $request->addTo($clutch, $this->house);

        return redirect()->route('first-day', $clutch)->with(
            'said', $count === 0 ? 'These hatchlings are added already.' : $count.' '.Str::plural('hatchling', $count).' added.',
        );
    }

    public function hatchling(HatchlingRequest $request, Clutch $clutch): RedirectResponse
    {
        $animal = $request->addTo($clutch, $this->house);

        return redirect()->route('clutches.show', $clutch)->with('said', "{$animal->name} is in the collection, number {$animal->number}.");
    }

    /** @return array{dams: list<Animal>, sires: list<Animal>} */
    private function candidates(User $keeper): array
    {
        $of = fn (Sex $sex): array => array_values(
            $keeper->animals()->where('sex', $sex->value)->orderBy('name')->get(['id', 'name', 'number'])->all(),
        );

        return ['dams' => $of(Sex::Female), 'sires' => $of(Sex::Male)];
    }
}
