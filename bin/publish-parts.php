<?php

// Brings styles and scripts to where the browser finds them; app/View/Publisher.php says how.

use App\View\Publisher;

require dirname(__DIR__).'/vendor/autoload.php';

try {
    (new Publisher(dirname(__DIR__)))->publish();
} catch (RuntimeException $error) {
    fwrite(STDERR, $error->getMessage()."\n");
    exit(1);
}
