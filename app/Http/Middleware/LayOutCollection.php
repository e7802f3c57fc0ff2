<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Collection\Doorway;
use App\Database\Snapshot;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** For programs that come with a token: the collection is open for the request. */
class LayOutCollection
{
    public function __construct(private readonly Doorway $doorway) {}

    public function handle(Request $request, Closure $next): Response
    {
        /** @var User|null $person */
        $person = $request->user();

        $answer = fn (): Response => $person === null
            ? $next($request)
            : $this->doorway->within($person->keeper(), fn (): Response => $next($request));

        return $request->isMethodSafe() ? Snapshot::during($answer) : $answer();
    }
}
