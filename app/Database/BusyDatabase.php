<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** What is answered when others kept the database for so long that waiting ended: try again, and nothing typed is lost. */
class BusyDatabase
{
    private const SECONDS = 5;

    /** What SQLite and PostgreSQL say then. */
    private const SAID = [
        'database is locked', 'database table is locked', 'SQLSTATE[55P03]', 'SQLSTATE[40P01]', 'SQLSTATE[40001]', 'SQLSTATE[53300]',
    ];

    public static function is(Throwable $error): bool
    {
        foreach (self::SAID as $words) {
            if (str_contains($error->getMessage(), $words)) {
                return true;
            }
        }

        return false;
    }

    public static function answer(Request $request): Response
    {
        $said = 'Not saved: the collection was busy. What you typed is still here. Save again.';
        if ($request->is('api/*') || $request->expectsJson()) {
            return response()->json(
                ['message' => 'The collection is busy; nothing was kept. Try again.'], 503, ['Retry-After' => self::SECONDS],
            );
        }

        return $request->isMethodSafe() || ! $request->hasSession()
            ? response()->view(
                'errors.503', ['exception' => new \Symfony\Component\HttpKernel\Exception\HttpException(503)], 503,
                ['Retry-After' => self::SECONDS],
            )
            : redirect()->back(303)->withInput(
                $request->except(['password', 'password_confirmation', 'current_password']),
            )->with('said', $said);
    }
}
