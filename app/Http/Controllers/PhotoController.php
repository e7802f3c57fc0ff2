<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PhotoRequest;
use App\Models\Animal;
use App\Models\Photo;
use App\Photos\Darkroom;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

class PhotoController extends Controller
{
    public function __construct(private readonly Darkroom $darkroom) {}

    public function store(PhotoRequest $request, Animal $animal): RedirectResponse
    {
        $photo = $request->addTo($animal, $this->darkroom);

        return redirect()->to($photo->home())->with('said', 'The photograph is kept.');
    }

    /** The picture of the animal; with “whole” the photograph that it was cut from. */
    public function show(Request $request, Photo $photo): Response
    {
        $this->authorize('view', $photo);
        abort_unless($this->darkroom->has($photo->file), 404);
        $content = $request->boolean('whole') ? $this->darkroom->read($photo->file) : $this->darkroom->picture($photo->file, $photo->part());

        return response($content, headers: ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400']);
    }
}
