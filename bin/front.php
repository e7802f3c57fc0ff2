<?php

// Stands before PHP's own server: php bin/front.php ADDRESS:PORT SERVER:PORT MEGABYTES, with a key of both in DESTINO_FRONT.

use App\Front\Front;
use App\Front\Limits;

require __DIR__.'/../vendor/autoload.php';

try {
    (new Front(new Limits($argv[2], (string) getenv('DESTINO_FRONT'), (int) $argv[3] * 1_048_576)))->listen($argv[1]);
} catch (RuntimeException $error) {
    fwrite(STDERR, $error->getMessage()."\n");
    exit(1);
}
