<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clutch\BoxPhotos;
use App\Http\Requests\BoxPhotoRequest;
use App\Models\Clutch;
use App\Photos\Darkroom;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** One photograph of several hatchlings, and where each of them is in it. */
class BoxPhotoController extends Controller
{
    public function create(Request $request, Clutch $clutch): View
    {
        $this->authorize('log', $clutch);
        $photos = new BoxPhotos($clutch);
        $of = $request->integer('of') > 0 ? $photos->named($request->integer('of')) : null;

        return view('clutches.box', [
            'clutch' => $clutch, 'hatchlings' => $clutch->hatchlings, 'of' => $of, 'photos' => $photos->all(),
            'heads' => $of === null ? [] : BoxPhotos::heads($clutch, $of->file), 'token' => (string) Str::uuid(),
        ]);
    }

    public function store(BoxPhotoRequest $request, Clutch $clutch, Darkroom $darkroom): RedirectResponse
    {
        $count = $request->cut($darkroom);

        return redirect()->route('bench', $clutch)->with(
            'said', $count === 1 ? 'The photograph is saved with 1 hatchling.' : "The photograph is saved with {$count} hatchlings.",
        );
    }
}
