<?php

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** For programs that come with a token: the house rules of the collection are laid out for the request. */
class LayOutCollection
{
    public function handle(Request $request, Closure $next): Response
    {
        /** @var User|null $person */
        $person = $request->user();
        if ($person !== null) {
            EnterCollection::layOut($person->keeper());
        }

        return $next($request);
    }
}
