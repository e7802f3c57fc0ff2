<?php

namespace App\Http\Controllers;

use App\Luck\LuckPage;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

class LuckController extends Controller
{
    public function __invoke(Request $request): Response
    {
        $this->authorize('read');
        $page = LuckPage::of($request->query());

        return response()->view('luck.show', ['page' => $page], $page->errors === [] ? 200 : 422);
    }
}
