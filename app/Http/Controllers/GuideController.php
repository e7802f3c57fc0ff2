<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\CatalogueShelf;
use App\Guide\Worked;
use Illuminate\Contracts\View\View;

/** The guide, with its worked numbers. */
class GuideController extends Controller
{
    public function __invoke(CatalogueShelf $shelf): View
    {
        $this->authorize('read');

        return view('guide.show', ['worked' => new Worked($shelf)]);
    }
}
