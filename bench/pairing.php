<?php

// The pairing page, and its weight: times, the least of fifteen.

use App\Catalogue\CatalogueShelf;
use App\Collection\Kept;
use App\Looks\Gallery;
use App\Looks\LoosePrint;
use App\Looks\Prints;
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
$open = fn (string $address): string => (string) $application->make(Kernel::class)->handle(Request::create($address))->getContent();
// A page that no drawing was made for yet names each under an address of its own; they come after it, as they are looked at.
$anew = Stopwatch::milliseconds(function () use ($application, $open, $ask): void {
    $application->make('cache.store')->flush();
    $open($ask);
}, 5);
preg_match_all('~(?:src|href)="(/genes/drawing\.svg[^"]*)"~', $open($ask), $found);
$addresses = array_values(array_unique(array_map(html_entity_decode(...), $found[1])));
$next = 0;
$one = Stopwatch::milliseconds(function () use ($open, $addresses, &$next): void {
    $open($addresses[$next++ % count($addresses)]);
}, count($addresses) - 1);
$page = '';
$whole = Stopwatch::milliseconds(function () use ($open, $ask, &$page): void {
    $page = $open($ask);
});
$gallery = new Gallery($application->make(CatalogueShelf::class));
$kept = $application->make(Kept::class);
$share = fn (bool $isLoose): float => Stopwatch::milliseconds(function () use ($gallery, $kept, $addresses, $isLoose): void {
    $prints = new Prints($gallery, kept: $isLoose ? null : $kept, isLoose: $isLoose);
    foreach ($addresses as $address) {
        parse_str((string) parse_url($address, PHP_URL_QUERY), $told);
        $print = LoosePrint::told($told['amounts'], $told['seed'], $told['size'], $gallery->facts());
        $print->size === 'medium' ? $prints->medium($print->look, '') : $prints->of($print->look);
    }
});
$words = "%s: %.0f ms, of which %.0f for its drawings: %.2f times the page without (limit 1.5)\n";
printf("a page with %d outcomes\n", substr_count($page, 'id="outcome-'));
printf($words, 'the first time, with all that is kept worked out anew', $anew, $share(true), $anew / ($anew - $share(true)));
printf($words, 'drawn before', $whole, $share(false), $whole / ($whole - $share(false)));
printf("each of its %d drawings, the first time: %.0f ms\n", count($addresses), $one);
printf("its weight: %.0f kB (limit 400)\n", strlen($page) / 1000);
unlink($file);
