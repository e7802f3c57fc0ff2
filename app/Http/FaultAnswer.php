<?php

declare(strict_types=1);

namespace App\Http;

use App\Backup\BackupError;
use App\Backup\Vault;
use App\Database\BusyDatabase;
use App\Database\StorageFault;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** What is answered where no code is at fault: the disk is full, or a backup is being put back just now. */
class FaultAnswer
{
    /** Fields that are never shown again. */
    private const SECRET = ['_token', 'password', 'password_confirmation', 'current_password'];

    public static function instead(Response $answer, Throwable $error, Request $request): Response
    {
        if ($answer->getStatusCode() !== Response::HTTP_INTERNAL_SERVER_ERROR) {
            return $answer;
        }
        $fault = StorageFault::of($error);

        return match (true) {
            $fault !== null => self::ofStorage($fault, $request),
            self::isRestoring() => BusyDatabase::answer($request),
            default => $answer,
        };
    }

    private static function ofStorage(StorageFault $fault, Request $request): Response
    {
        if ($request->is('api/*') || $request->expectsJson()) {
            return response()->json(['message' => "{$fault->value} Nothing was saved. {$fault->remedy()}"], $fault->status());
        }
        // A session may not be writable either: the form comes back with the page itself.
        $fields = $request->isMethodSafe() ? [] : Arr::dot($request->except(self::SECRET));
        $names = array_map(
            fn (string $name): string => (string) preg_replace('/\.([^.]+)/', '[$1]', $name), array_map(strval(...), array_keys($fields)),
        );
        $typed = array_filter(array_combine($names, $fields), is_scalar(...));
        try {
            return response()->view('errors.storage', ['fault' => $fault, 'typed' => $typed, 'address' => $request->fullUrl()],
                $fault->status());
        } catch (Throwable) { // even the page cannot be made
            return response("{$fault->value} Nothing was saved. {$fault->remedy()}", $fault->status(),
                ['Content-Type' => 'text/plain; charset=utf-8']);
        }
    }

    private static function isRestoring(): bool
    {
        try {
            return Vault::ofThisInstallation()->isRestoring();
        } catch (BackupError) {
            return false; // there is no collection
        }
    }
}
