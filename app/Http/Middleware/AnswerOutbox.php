<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What the outbox of a page sends is answered with where to go next instead of being sent there: the page stays, and what is
 * said is shown by the page that is opened next.
 */
class AnswerOutbox
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);

        return $request->headers->has('X-Outbox') && $response instanceof RedirectResponse
            ? new JsonResponse(['to' => $response->getTargetUrl(), 'said' => $request->session()->get('said')])
            : $response;
    }
}
