<?php

// The pairing page with its drawings against the same page without them, and its weight: times, the least of fifteen.

use App\Catalogue\CatalogueShelf;
use App\Drawing\SkinSvg;
use App\Looks\Gallery;
use App\Looks\Prints;
use App\Models\User;
use Bench\Stopwatch;
use Destino\Genome\Sex;
use Destino\Pairing\Cross;
use Destino\Pairing\Looks;
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
$shelf = $application->make(CatalogueShelf::class);
$cross = Cross::of(
    $shelf->catalogue(), $shelf->reader()->read($sire, Sex::Male)->beliefOrFail(),
    $shelf->reader()->read($dam, Sex::Female)->beliefOrFail(),
);
$forms = [];
foreach (Looks::of($cross)->walk() as $outcome) {
    $forms[] = $outcome->forms;
    if (count($forms) === $outcomes) {
        break;
    }
}
$drawn = substr_count($page, 'class="skin"');
$drawing = Stopwatch::milliseconds(function () use ($shelf, $forms, $drawn): int {
    $gallery = new Gallery($shelf);
    $prints = new Prints($gallery);
    array_map($prints->ofForms(...), $forms);
    $bytes = strlen($prints->symbols());
    foreach (array_slice($forms, 0, $drawn) as $one) {
        $bytes += strlen(SkinSvg::medium($gallery->ofForms($one), 'x'));
    }

    return $bytes;
});
printf(
    "the page with %d outcomes: %.0f ms, of which drawings %.0f ms: %.2f times the page without (limit 1.5)\n", $outcomes, $whole, $drawing,
    $whole / ($whole - $drawing),
);
printf("its weight: %.0f kB (limit 400)\n", strlen($page) / 1000);
unlink($file);
