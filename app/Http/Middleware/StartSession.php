<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Session\Middleware\StartSession as Session;

/**
 * Opens the session; what a script asks for in the background, and a picture, leaves it as it was. Otherwise one that is fetched between
 * a form that was sent and the page that follows would use up what that page is to say, or what the keeper had typed.
 */
class StartSession extends Session
{
    protected function saveSession($request): void
    {
        $headers = $request->headers;
        $isBeside = $request->wantsJson() || $headers->has('X-Background') || $headers->has('X-Live')
            || str_starts_with((string) $headers->get('Accept'), 'image/');
        if (! ($request->isMethodSafe() && $isBeside)) {
            parent::saveSession($request);
        }
    }
}
