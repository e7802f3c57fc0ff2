<?php

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;

/**
 * Signs in the keeper of this installation, and only at this machine: the application has one keeper and listens on
 * the loopback address. The first visit makes the keeper.
 */
class SignInKeeper
{
    public function handle(Request $request, Closure $next): Response
    {
        if (! Auth::check()) {
            // The peer's address as the socket tells it, never a header that a stranger can write.
            $isHere = IpUtils::checkIp((string) $request->server('REMOTE_ADDR'), ['127.0.0.0/8', '::1']);
            // A page of another site may point its own name at this machine: only the machine's own names are answered.
            $isOurName = in_array($request->getHost(), ['127.0.0.1', 'localhost', '[::1]'], true);
            abort_unless($isHere && $isOurName, 403, 'Destino answers only at the machine it runs on.');
            Auth::login(User::keeper());
        }

        return $next($request);
    }
}
