<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Young\KeepOrSell;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Keep or sell: the young of a season with their reasons. */
class YoungController extends Controller
{
    public function __construct(private readonly Opened $opened) {}

    public function index(Request $request): View
    {
        $this->authorize('read');
        $asked = (string) $request->query('season', '');
        $season = preg_match('/^(19|20)\d\d$/', $asked) === 1 ? $asked : now()->format('Y');

        return view('young.index', [
            'page' => new KeepOrSell($season, $this->opened),
            'prints' => new Prints(new Gallery($this->opened->shelf), kept: $this->opened->kept, isLoose: true),
            'token' => (string) Str::uuid(),
        ]);
    }
}
