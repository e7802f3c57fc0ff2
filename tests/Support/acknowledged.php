<?php

// One of several programs that write while a backup is put back: php acknowledged.php NAME SECONDS. Prints what was acknowledged.

use App\Database\BusyDatabase;
use App\Models\Animal;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$until = microtime(true) + (float) $argv[2];
for ($i = 0; microtime(true) < $until; $i++) {
    try {
        $mark = "{$argv[1]}-{$i}";
        DB::transaction(fn () => Animal::query()->firstOrFail()->care()->create(['kind' => 'note', 'on' => '2026-01-01', 'words' => $mark]));
        echo "{$mark}\n";
    } catch (Throwable $error) {
        // Told to try again, and nothing half; another connection follows where a server has ended this one.
        BusyDatabase::is($error) ?: fwrite(STDERR, $error->getMessage()."\n");
        DB::purge();
    }
}
