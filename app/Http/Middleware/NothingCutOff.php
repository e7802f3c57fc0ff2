<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Turns away a form of which PHP dropped the end (max_input_vars) without a word: half of a round must not be taken for the
 * whole. What comes as JSON is never cut.
 */
class NothingCutOff
{
    public function handle(Request $request, Closure $next): Response
    {
        $most = (int) ini_get('max_input_vars');
        if (! $request->isMethodSafe() && ! $request->isJson() && $most > 0 && count($request->request->all(), COUNT_RECURSIVE) >= $most) {
            abort(
                413,
                'This form has more than '.number_format($most)
                    .' fields, the most that this server takes. Nothing was saved. Send it in parts, or start Destino with '
                        .'bin/destino, which sets the limit higher.',
            );
        }

        return $next($request);
    }
}
