<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PhotoRequest;
use App\Models\Animal;
use App\Models\Photo;
use App\Photos\Darkroom;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class PhotoController extends Controller
{
    public function __construct(private readonly Darkroom $darkroom) {}

    public function store(PhotoRequest $request, Animal $animal): RedirectResponse
    {
        $photo = $request->addTo($animal, $this->darkroom);

        return redirect()->to($photo->home())->with('said', 'The photograph is kept.');
    }

    public function show(Photo $photo): BinaryFileResponse
    {
        $this->authorize('view', $photo);
        abort_unless($this->darkroom->has($photo->file), 404);

        return response()->file(
            $this->darkroom->path($photo->file), ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400'],
        );
    }
}
