<?php

return [
    // "demo" shows the demo collection and says so; "own" is the keeper's collection.
    'collection' => env('DESTINO_COLLECTION', 'own'),

    // Names under which it answers besides addresses, names of the home network and that of app.url, with commas between them.
    'hosts' => array_filter(array_map('trim', explode(',', (string) env('DESTINO_HOSTS', '')))),

    // The zone of the clock on the wall, for hours that are shown and typed: that of the machine, unless it is said.
    'zone' => env('DESTINO_ZONE') ?: (static function (): string {
        $zone = (string) preg_replace('~^.*/zoneinfo/~', '', (string) @readlink('/etc/localtime'));
        $zone = $zone === '' ? trim((string) @file_get_contents('/etc/timezone')) : $zone;

        return in_array($zone, timezone_identifiers_list(DateTimeZone::ALL_WITH_BC), true) ? $zone : 'UTC';
    })(),

    // Where backups of a database server go; those of a file lie beside it.
    'backups' => env('DESTINO_BACKUPS') ?: storage_path('app/private/backups'),

    // The folder with the gene facts.
    'catalogue' => base_path('catalogue'),

    // Rows of the list of outcomes that a page draws; the rest is a click or an export away.
    'rows' => 60,

    // Rows that it draws when the whole list is asked for.
    'all_rows' => 2000,

    // Rows that an export writes before it stops and says so.
    'export_rows' => 50_000,
    // Share of the usual work that plans may take: less gives wider bands, sooner.
    'plan_effort' => (float) env('DESTINO_PLAN_EFFORT', 1),
];
