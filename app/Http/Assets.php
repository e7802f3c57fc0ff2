<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Styles and scripts under addresses that change with them, so that browsers may keep them for a year. */
final class Assets
{
    private const FOLDERS = ['css', 'js'];

    private static ?string $version = null;

    /** "/build/1f2e3d4c/css/destino.css" for "css/destino.css". */
    public static function url(string $path): string
    {
        return '/build/'.self::version()."/{$path}";
    }

    /** Changes whenever a style or a script does. */
    public static function version(): string
    {
        return self::$version ??= self::stamp();
    }

    private static function stamp(): string
    {
        $files = [];
        foreach (self::FOLDERS as $folder) {
            foreach (glob(public_path("{$folder}/{*,*/*}.{css,js}"), GLOB_BRACE) ?: [] as $file) {
                $files[$file] = [filemtime($file), filesize($file)];
            }
        }
        ksort($files);

        return hash('xxh32', serialize($files));
    }

    /** For servers that do not map these addresses to the files themselves. */
    public static function file(string $path): BinaryFileResponse
    {
        $file = realpath(public_path($path));
        $type = match (pathinfo($path, PATHINFO_EXTENSION)) {
        'css' => 'text/css; charset=utf-8', 'js' => 'text/javascript; charset=utf-8', default => null,
        };
        $isOurs = $file !== false && $type !== null
            && (str_starts_with($file, public_path('css/')) || str_starts_with($file, public_path('js/')));
        abort_unless($isOurs, 404);

        return response()->file(
            (string) $file, ['Content-Type' => (string) $type, 'Cache-Control' => 'public, max-age=31536000, immutable'],
        );
    }
}
