<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ObservationRequest;
use App\Http\Requests\StatusRequest;
use App\Models\Animal;
use App\Season\Leaving;
use Illuminate\Http\RedirectResponse;

/** Where an animal stands, and conditions seen in it. */
class StatusController extends Controller
{
    public function store(StatusRequest $request, Animal $animal): RedirectResponse
    {
        $event = $request->addTo($animal);

        $said = rtrim("From {$event->on->format('j F Y')}: {$event->sentence()}", '.').'.';

        return redirect()->to($event->home())
            ->with('said', trim("{$said} ".Leaving::warning($animal, $event->status)))
            ->with('undo', route('records.destroy', ['status', $event->id]))->with('undo_method', 'delete');
    }

    public function observe(ObservationRequest $request, Animal $animal): RedirectResponse
    {
        $observation = $request->addTo($animal);

        return redirect()->to($observation->home())->with('said', "Noted: {$observation->sentence()}");
    }
}
