<?php

// Copies what the pages need from node_modules to public/vendor, so that the application serves all of it itself.

$root = dirname(__DIR__);
$files = [
    'bootstrap/dist/css/bootstrap-reboot.min.css' => 'bootstrap/reboot.css',
    'bootstrap/dist/css/bootstrap-utilities.min.css' => 'bootstrap/utilities.css',
    'bootstrap/LICENSE' => 'bootstrap/LICENSE',
    'tom-select/dist/js/tom-select.complete.min.js' => 'tom-select/tom-select.js',
    'tom-select/dist/css/tom-select.min.css' => 'tom-select/tom-select.css',
    'tom-select/LICENSE' => 'tom-select/LICENSE',
    'bootstrap-icons/LICENSE' => 'icons/LICENSE',
    '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2' => 'fonts/bricolage-latin.woff2',
    '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-ext-wght-normal.woff2' => 'fonts/bricolage-latin-ext.woff2',
    '@fontsource-variable/bricolage-grotesque/LICENSE' => 'fonts/bricolage-LICENSE',
    '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-wght-normal.woff2' => 'fonts/hanken-latin.woff2',
    '@fontsource-variable/hanken-grotesk/files/hanken-grotesk-latin-ext-wght-normal.woff2' => 'fonts/hanken-latin-ext.woff2',
    '@fontsource-variable/hanken-grotesk/LICENSE' => 'fonts/hanken-LICENSE',
];
foreach (['arrow-left-right', 'box-arrow-right', 'chat-quote', 'check-circle', 'clock-history', 'egg', 'grid', 'hourglass-split', 'house', 'question-circle', 'shield-check', 'upload', 'diagram-3', 'lightbulb', 'signpost-split', 'book', 'collection', 'dice-5', 'three-dots', 'sunrise', 'thermometer-half', 'download', 'exclamation-triangle', 'eye', 'gender-female', 'gender-male', 'grid-3x3', 'info-circle', 'link-45deg', 'moon-stars', 'pencil', 'plus-lg', 'printer', 'search', 'star-fill', 'x-octagon'] as $icon) {
    $files["bootstrap-icons/icons/{$icon}.svg"] = "icons/{$icon}.svg";
}
foreach ($files as $from => $to) {
    $target = "{$root}/public/vendor/{$to}";
    is_dir(dirname($target)) || mkdir(dirname($target), 0775, true);
    if (! copy("{$root}/node_modules/{$from}", $target)) {
        fwrite(STDERR, "The file {$from} is missing from node_modules.\n");
        exit(1);
    }
}
