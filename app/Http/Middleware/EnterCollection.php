<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Database\Snapshot;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets people into the collection: the demo signs in its owner, and only at this machine; an installation without an
 * owner makes one first; everybody else signs in. Then the collection is open for the request.
 */
class EnterCollection
{
    /** Pages for those who are not signed in. */
    private const DOORS = ['login', 'login.attempt', 'begin', 'begin.store'];

    /** Attribute of a request that was answered with what was known before the last change. */
    public const BEHIND = 'behind';

    /** Asked while a name is typed. */
    private const TYPED = 'animals.names';

    private const LOOKED_AT = [
        'today', 'animals.index', 'animals.show', 'pair', 'clutches.show', 'prove', 'prove.animal', 'young', 'season.board', 'projects.index',
        'projects.show', 'genes.index', self::TYPED,
    ];

    public function __construct(private readonly Doorway $doorway) {}

    public function handle(Request $request, Closure $next): Response
    {
        if (config('destino.collection') === 'demo') {
            $this->signInTheDemo($request);
        }
        if (! Auth::check()) {
            $isDoor = in_array($request->route()?->getName(), self::DOORS, true);

            return $isDoor ? $next($request) : $this->showTheDoor($request);
        }
        /** @var User $person */
        $person = Auth::user();
        $request->route()?->flushController(); // one that answered an earlier request of this process holds the collection of then

        $answer = fn (): Response => $this->doorway->within($person->keeper(), function (Opened $opened) use ($next, $request): Response {
            $response = $next($request);
            $request->attributes->set(self::BEHIND, $opened->isBehind());

            return $response;
        }, $this->mayBeBehind($request));

        return $request->isMethodSafe() ? Snapshot::during($answer) : $answer();
    }

    /** Pages to look at show what is known so far; what is written, printed, exported or asked by a program waits for all of it. */
    private function mayBeBehind(Request $request): bool
    {
        $name = $request->route()?->getName();

        return $request->isMethod('GET') && ($name === self::TYPED || ! $request->expectsJson()) && config('queue.default') !== 'sync'
            && in_array($name, self::LOOKED_AT, true);
    }

    /** Whether the request comes from this machine, as the socket tells it, to one of the machine's own names. */
    public static function isHere(Request $request): bool
    {
        return IpUtils::checkIp((string) $request->server('REMOTE_ADDR'), ['127.0.0.0/8', '::1'])
            // A page of another site may point its own name at this machine: only the machine's own names are answered.
            && in_array($request->getHost(), ['127.0.0.1', 'localhost', '[::1]'], true);
    }

    private function signInTheDemo(Request $request): void
    {
        abort_unless(self::isHere($request), 403, 'The demo answers only at the machine it runs on.');
        if (! Auth::check()) {
            $owner = User::query()->whereNull('owner_id')->orderBy('id')->first();
            if ($owner !== null) {
                Auth::login($owner);
            }
        }
    }

    private function showTheDoor(Request $request): Response
    {
        if ($request->expectsJson()) {
            return response()->json(['message' => 'Sign in first.'], 401);
        }

        return redirect()->guest(route(User::hasBegun() ? 'login' : 'begin'));
    }
}
