<?php

// The same tests on another database: bin/destino test --database=pgsql says where it is, and each process has one of its own.

require __DIR__.'/../vendor/autoload.php';

// Tests see styles and scripts as they are written now.
(new App\View\Publisher(dirname(__DIR__)))->publish();

if (getenv('DESTINO_TEST_DATABASE') === 'pgsql') {
    $own = [
        'DB_CONNECTION' => 'pgsql', 'DB_HOST' => (string) getenv('DESTINO_TEST_HOST'), 'DB_USERNAME' => 'destino',
        'DB_DATABASE' => 'destino_'.(getenv('TEST_TOKEN') ?: '1'),
    ];
    foreach ($own as $name => $value) {
        putenv("{$name}={$value}");
        $_ENV[$name] = $_SERVER[$name] = $value;
    }
}
