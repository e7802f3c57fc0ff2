<?php

// Names the lines of templates that are too long to be read. Exit 1 where there is any.

const MOST = 140;

$root = dirname(__DIR__);
$found = [];
foreach (['resources/views', 'app/View'] as $folder) {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS)) as $file) {
        if (! str_ends_with((string) $file, '.blade.php')) {
            continue;
        }
        foreach (file((string) $file, FILE_IGNORE_NEW_LINES) ?: [] as $number => $line) {
            if (mb_strlen($line) > MOST) {
                $found[] = substr((string) $file, strlen($root) + 1).':'.($number + 1);
            }
        }
    }
}
echo implode('', array_map(static fn (string $place): string => "{$place}\n", $found));
exit($found === [] ? 0 : 1);
