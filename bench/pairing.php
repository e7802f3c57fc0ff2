<?php

// The pairing page, and its weight: times, the least of fifteen.

use App\Models\User;
use Bench\Stopwatch;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;

$file = (string) tempnam(sys_get_temp_dir(), 'pairing');
putenv("DB_DATABASE={$file}");
putenv('SESSION_DRIVER=array');
require __DIR__.'/../vendor/autoload.php';
$application = require __DIR__.'/../bootstrap/app.php';
$application->make(Console::class)->bootstrap();
config(['database.connections.sqlite.database' => $file, 'session.driver' => 'array', 'cache.default' => 'array']);
Artisan::call('migrate', ['--force' => true]);
Auth::login(User::factory()->create());

[$sire, $dam] = ['Pastel Enchi Mojave het Clown', 'Pastel Yellow Belly Lesser het Clown'];
$ask = '/pair?'.http_build_query(['sire' => $sire, 'dam' => $dam, 'target' => 'Clown + Pastel']);
$page = '';
$whole = Stopwatch::milliseconds(function () use ($application, $ask, &$page): void {
    $page = (string) $application->make(Kernel::class)->handle(Request::create($ask))->getContent();
});
$outcomes = substr_count($page, 'id="outcome-');
// Drawings are kept; without any kept, each run draws them anew.
$anew = Stopwatch::milliseconds(function () use ($application, $ask): void {
    $application->make('cache.store')->flush();
    $application->make(Kernel::class)->handle(Request::create($ask));
}, 5);
printf(
    "the page with %d outcomes: %.0f ms, %.0f ms the first time, with all that is kept worked out and drawn anew\n", $outcomes, $whole,
    $anew,
);
printf("its weight: %.0f kB (limit 400)\n", strlen($page) / 1000);
unlink($file);
