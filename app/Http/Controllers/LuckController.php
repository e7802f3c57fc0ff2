<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Collection\Opened;
use App\Luck\LuckPage;
use App\Luck\OwnLuck;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

class LuckController extends Controller
{
    public function __invoke(Request $request, Opened $opened): Response
    {
        $this->authorize('read');
        $page = LuckPage::of($request->query());
        $own = new OwnLuck($request->query(), $opened);

        return response()->view('luck.show', ['page' => $page, 'own' => $own], $page->errors + $own->errors === [] ? 200 : 422);
    }
}
