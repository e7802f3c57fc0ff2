<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\OutboxOwner;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What the outbox of a page sends is answered with where to go next instead of being sent there: the page stays, and what is
 * said is shown by the page that is opened next. Entries go into the collection of the person who typed them, whoever has
 * signed in on the device since.
 */
class AnswerOutbox
{
    /** Header of the outbox, and what it says: whose the entries are. */
    public const HEADER = 'X-Outbox';

    /** Header of a page: whose it is, so that a device that keeps it shows it to nobody else (public/worker.js). */
    public const MARK = 'Destino-Owner';

    /** In the session, for the answer: what became of each row (App\Http\RowAnswers). */
    public const ROWS = 'rows';

    public function handle(Request $request, Closure $next): Response
    {
        $owner = $request->headers->get(self::HEADER);
        $person = $request->user();
        if ($owner === null) {
            $response = $next($request);
            $person instanceof User && $response->headers->set(self::MARK, OutboxOwner::of($person));

            return $response;
        }
        if ($person instanceof User && ! hash_equals(OutboxOwner::of($person), $owner)) {
            return new JsonResponse(
                ['message' => 'These entries belong to another person. They are sent when that person signs in on this device.'],
                Response::HTTP_PRECONDITION_FAILED,
            );
        }
        $response = $next($request);

        return $response instanceof RedirectResponse
            ? new JsonResponse(array_filter([
                'to' => $response->getTargetUrl(), 'said' => $request->session()->get('said'),
                'rows' => $request->session()->pull(self::ROWS),
            ], fn (mixed $value): bool => $value !== null))
            : $response;
    }
}
