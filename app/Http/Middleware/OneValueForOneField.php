<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Refuses what no form of ours sends, before anything reads it: several values where one is meant, and bytes that are no
 * text. Whatever is behind it may take a field for a text.
 */
class OneValueForOneField
{
    /** Fields of forms and addresses that hold several values, and where. */
    private const LISTS = [
        'rows' => ['round/*', 'clutches/*/eggs/weights'], 'none' => 'clutches/*/eggs/candled',
        'sires' => 'clutches*', 'pairs' => 'projects/*', 'forbidden' => 'projects*', 'assumptions' => 'projects*', 'columns' => 'exchange/*',
        'lines' => 'house', 'schools' => 'house', 'stances' => 'house', 'school' => '*',
        'genes' => 'genes/compare', 'wish' => 'genes/design', 'animals' => 'clutches/*', 'answers' => 'exchange/*',
        'chosen' => ['animals/chosen', 'today/taps'], 'offers' => 'imports/*', 'heads' => 'clutches/*/box',
    ];

    public function handle(Request $request, Closure $next): Response
    {
        $isProgram = $request->is('api/*'); // a program sends lists where the document of its format has them
        foreach ($request->query->all() + $request->request->all() as $field => $value) {
            if (is_array($value) && ! $isProgram && ! $request->is(self::LISTS[$field] ?? [])) {
                abort(400, "“{$this->shown((string) $field)}” takes one value. Nothing was saved.");
            }
            if (! $this->isText($field) || ! $this->isText($value)) {
                abort(400, "“{$this->shown((string) $field)}” holds bytes that are not text (UTF-8). Nothing was kept.");
            }
        }
        if (! $this->isText(rawurldecode($request->getPathInfo()))) {
            abort(404);
        }

        return $next($request);
    }

    private function isText(mixed $value): bool
    {
        if (is_array($value)) {
            foreach ($value as $key => $one) {
                if (! $this->isText($key) || ! $this->isText($one)) {
                    return false;
                }
            }

            return true;
        }

        return ! is_string($value) || (mb_check_encoding($value, 'UTF-8') && ! str_contains($value, "\0"));
    }

    private function shown(string $field): string
    {
        return mb_strimwidth(mb_scrub($field), 0, 40, '…');
    }
}
