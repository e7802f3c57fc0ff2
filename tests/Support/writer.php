<?php

// One of several programs that write to the same collection: php writer.php ANIMAL COUNT. Reads, then writes, as pages do.

use App\Models\Animal;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

for ($i = 0; $i < (int) $argv[2]; $i++) {
    DB::transaction(function () use ($argv): void {
        $animal = Animal::query()->findOrFail((int) $argv[1]);
        $before = $animal->care()->count();
        usleep(2000);
        $animal->care()->create(['kind' => 'weight', 'on' => '2026-01-01', 'grams' => 1000 + $before]);
    });
}
echo 'done';
