<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Turns away a message that is larger than any that is promised, before it is read: programs send lists, and pages send rounds. */
class BoundedMessages
{
    /** Bytes of a message of a program, and of a document that a page sends; files have limits of their own. */
    private const API = 1_000_000;

    private const DOCUMENT = 4_000_000;

    public function handle(Request $request, Closure $next): Response
    {
        $isApi = $request->is('api/*');
        if (! $request->isMethodSafe() && ($isApi || $request->isJson())) {
            $most = $isApi ? self::API : self::DOCUMENT;
            if (max((int) $request->headers->get('Content-Length'), strlen((string) $request->getContent())) > $most) {
                return response()->json(
                    ['message' => 'A message can hold up to '.number_format($most / 1_000_000).' MB. Nothing was saved. Send it in parts.'],
                    Response::HTTP_REQUEST_ENTITY_TOO_LARGE,
                );
            }
        }

        return $next($request);
    }
}
