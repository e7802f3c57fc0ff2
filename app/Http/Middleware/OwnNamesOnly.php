<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers only under names that are this machine's own, because the name that is asked for is written into addresses; and
 * follows nobody back to a page of another site.
 */
class OwnNamesOnly
{
    /** Endings of names that only a network of one's own gives out. */
    private const AT_HOME = ['.localhost', '.local', '.lan', '.home', '.internal', '.home.arpa'];

    public function handle(Request $request, Closure $next): Response
    {
        if (! self::isOwn($request->getHost())) {
            return response(
                "Destino does not answer under this name.\nIf the name is yours, add it to DESTINO_HOSTS and start Destino again.\n", 400,
                ['Content-Type' => 'text/plain; charset=utf-8'],
            );
        }
        $from = parse_url((string) $request->headers->get('referer'));
        $there = ($from['host'] ?? '').(isset($from['port']) ? ":{$from['port']}" : '');
        if ($there !== $request->getHttpHost()) {
            $request->headers->remove('referer');
        }

        return $next($request);
    }

    public static function isOwn(string $host): bool
    {
        return filter_var(trim($host, '[]'), FILTER_VALIDATE_IP) !== false
            || ! str_contains($host, '.') || Str::endsWith($host, self::AT_HOME)
            || in_array($host, config('destino.hosts'), true) || $host === parse_url((string) config('app.url'), PHP_URL_HOST);
    }
}
