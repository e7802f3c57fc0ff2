<?php

// What PHP's own server does with a request: files of public/ with the headers that browsers need to keep them, everything else
// by the application. Addresses under /build/VERSION/ are the same files and may be kept for a year, since the version changes
// with them.

// Whoever stands before it says from whom a request comes; nobody else is believed (bin/front.php).
if (isset($_SERVER['HTTP_X_DESTINO_KEY'], $_SERVER['HTTP_X_DESTINO_FROM']) && (string) getenv('DESTINO_FRONT') !== ''
    && hash_equals((string) getenv('DESTINO_FRONT'), $_SERVER['HTTP_X_DESTINO_KEY'])) {
    $_SERVER['REMOTE_ADDR'] = $_SERVER['HTTP_X_DESTINO_FROM'];
}
unset($_SERVER['HTTP_X_DESTINO_KEY'], $_SERVER['HTTP_X_DESTINO_FROM']);

$public = dirname(__DIR__).'/public';
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$isVersioned = preg_match('~^/build/[0-9a-f]{8,32}(/(?:css|js)/.+)$~', $path, $found) === 1;
$file = str_contains($path, "\0") ? false : realpath($public.($isVersioned ? $found[1] : $path));
$types = [
    'css' => 'text/css; charset=utf-8', 'js' => 'text/javascript; charset=utf-8', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2',
    'txt' => 'text/plain; charset=utf-8', 'webp' => 'image/webp',
];
$type = $file === false ? null : $types[strtolower(pathinfo($file, PATHINFO_EXTENSION))] ?? null;
if ($file === false || $type === null || ! is_file($file) || ! str_starts_with($file, $public.'/')) {
    // The application sees its own front file, whatever the address looks like.
    $_SERVER['SCRIPT_NAME'] = '/index.php';
    $_SERVER['SCRIPT_FILENAME'] = "{$public}/index.php";
    require "{$public}/index.php";

    return true;
}
$tag = '"'.dechex((int) filemtime($file)).'-'.dechex((int) filesize($file)).'"';
header('Content-Type: '.$type);
header('X-Content-Type-Options: nosniff');
header("ETag: {$tag}");
header('Vary: Accept-Encoding');
header('Cache-Control: '.match (true) {
    $isVersioned => 'public, max-age=31536000, immutable',
    str_starts_with($path, '/vendor/') => 'public, max-age=604800',
    default => 'no-cache',
});
if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
    http_response_code(304);

    return true;
}
if (($_SERVER['REQUEST_METHOD'] ?? 'GET') !== 'HEAD') {
    readfile($file); // compressed on its way, where the browser takes that
}

return true;
