<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Session\Middleware\StartSession as Session;

/**
 * Opens the session; what a script asks for in the background leaves it as it was. Otherwise an answer fetched between a
 * form that was sent back and the page that shows it again would use up what the keeper had typed.
 */
class StartSession extends Session
{
    protected function saveSession($request): void
    {
        if (! ($request->isMethodSafe() && $request->wantsJson())) {
            parent::saveSession($request);
        }
    }
}
