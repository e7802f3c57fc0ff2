<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlaceRequest;
use App\Http\Requests\RackRequest;
use App\Models\Animal;
use App\Models\Rack;
use App\Models\User;
use App\People\CurrentKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

class RackController extends Controller
{
    public function index(#[CurrentKeeper] User $keeper): View
    {
        $this->authorize('manage');

        return view('racks.index', ['racks' => $keeper->racks()->withCount('animals')->get(), 'token' => (string) Str::uuid()]);
    }

    public function store(RackRequest $request, #[CurrentKeeper] User $keeper): RedirectResponse
    {
        $rack = $request->addTo($keeper);

        return redirect()->route('racks.index')->with('said', "{$rack->name} added with ".$rack->rows * $rack->columns.' tubs.');
    }

    public function update(RackRequest $request, Rack $rack): RedirectResponse
    {
        $rack = $request->change($rack);

        return redirect()->route('racks.index')->with('said', "{$rack->name} is changed.");
    }

    public function destroy(Rack $rack): RedirectResponse
    {
        $this->authorize('manage', $rack);
        $count = $rack->animals()->count();
        DB::transaction(function () use ($rack): void {
            $rack->animals()->update(['rack_id' => null, 'rack_row' => null, 'rack_column' => null]);
            $rack->delete();
        });

        return redirect()->route('racks.index')->with(
            'said',
            "{$rack->name} is gone".($count === 0 ? '.'
                : ($count === 1 ? '; its one animal is' : "; its {$count} animals are").' without a tub.'),
        );
    }

    /** An animal goes to another tub; one that is there goes where the first came from. */
    public function place(PlaceRequest $request, Animal $animal): RedirectResponse|JsonResponse
    {
        $said = $request->move($animal);

        return $request->expectsJson() ? response()->json(['said' => $said]) : redirect()->back()->with('said', $said);
    }
}
