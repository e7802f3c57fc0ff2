<?php

// Main pages of collections of 300 and 1,000 animals in families: milliseconds, the median and the 95th percentile of warm runs, as
// multiples of the lightest page; and each page as the first after a change.

use App\Collection\Doorway;
use App\Collection\Opened;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

$file = (string) tempnam(sys_get_temp_dir(), 'pages');
putenv("DB_DATABASE={$file}");
putenv('SESSION_DRIVER=array');
require __DIR__.'/../vendor/autoload.php';
$application = require __DIR__.'/../bootstrap/app.php';
$application->make(Console::class)->bootstrap();
config([
    'database.connections.sqlite.database' => $file, 'session.driver' => 'array', 'cache.default' => 'file',
    'queue.default' => 'database', 'cache.stores.file.path' => $kept = sys_get_temp_dir().'/pages-'.getmypid(),
]);
$genes = [
    'Pastel het Clown', 'Clown', '66% het Clown', 'Mojave', 'Enchi 50% het Piebald', 'Piebald', 'Yellow Belly het Clown',
    'Leopard 66% het Piebald', 'Banana', 'Pinstripe het Ultramel', 'Normal',
];

ob_start(); // pages send headers: nothing is printed before the last one
foreach ([300, 1000] as $size) {
    Artisan::call('migrate:fresh', ['--force' => true]);
    Artisan::call('cache:clear');
    mt_srand(7);
    Auth::login($keeper = User::factory()->create());
    $animals = ['male' => [], 'female' => []];
    DB::transaction(function () use ($size, $genes, $keeper, &$animals): void {
        for ($i = 0; $i < $size; $i++) {
            $isYoung = $i > $size / 4;
            $sex = mt_rand(0, 2) > 0 ? 'female' : 'male';
            $anyOf = fn (array $ids): int => $ids[mt_rand(0, count($ids) - 1)];
            $parents = $isYoung ? ['sire_id' => $anyOf($animals['male']), 'dam_id' => $anyOf($animals['female'])] : [];
            $animal = $keeper->animals()->create([
                'name' => "Hull {$i}", 'number' => "H{$i}", 'sex' => $sex,
                'hatched_on' => sprintf('20%02d-07-%02d', $isYoung ? 25 : 20, mt_rand(1, 28)),
            ] + $parents);
            $isYoung || $animal->statements()->create(['text' => $genes[mt_rand(0, count($genes) - 1)], 'source' => 'own']);
            $animal->care()->create(['kind' => 'weight', 'on' => '2026-11-01', 'grams' => mt_rand(500, 2400)]);
            $isYoung || $animals[$sex][] = $animal->id;
        }
    });
    $clutch = $keeper->clutches()->create([
        'dam_id' => $animals['female'][0], 'laid_on' => '2026-05-05', 'hatched_on' => '2026-07-01', 'hatched' => 6,
    ]);
    $clutch->sires()->create(['animal_id' => $animals['male'][0]]);
    $open = function (string $address) use ($application): float {
        $before = hrtime(true);
        $answer = $application->make(Kernel::class)->handle(Request::create($address));
        $application->forgetScopedInstances();
        $answer->getStatusCode() === 200 || exit("{$address}: ".($answer->exception ?? $answer->getStatusCode())."\n");

        return (hrtime(true) - $before) / 1e6;
    };
    $pages = [
        'lightest' => '/guide', 'Today' => '/today', 'Animals' => '/animals', 'an animal' => "/animals/{$animals['male'][0]}",
        'Pair' => '/pair',
        'a pair' => "/pair?sire_id={$animals['male'][0]}&dam_id={$animals['female'][0]}&target=Clown", 'Clutches' => '/clutches',
        'a clutch' => "/clutches/{$clutch->id}", 'Prove' => '/prove', 'Projects' => '/projects', 'Genes' => '/genes',
    ];
    printf("%d animals\n%-10s %8s %8s %8s %14s\n", $size, '', 'median', '95 %', 'times', 'after a change');
    $lightest = 0.0;
    foreach ($pages as $name => $address) {
        $open($address); // what is only done once is done
        $founder = $keeper->animals()->findOrFail($animals['male'][1 + mt_rand(0, 5)]);
        $founder->statements()->create(['text' => 'Fire', 'source' => 'own']);
        $after = $open($address);
        $application->make(Doorway::class)->within($keeper, fn (Opened $opened) => $opened->beliefs()->complete()); // as a worker does
        $open($address);
        $times = array_map(fn (): float => $open($address), range(1, 9));
        sort($times);
        $lightest = $lightest > 0.0 ? $lightest : $times[4];
        printf("%-10s %8.0f %8.0f %8.1f %8.0f = %.1f\n", $name, $times[4], $times[8], $times[4] / $lightest, $after, $after / $lightest);
    }
}
ob_end_flush();
unlink($file);
Illuminate\Support\Facades\File::deleteDirectory($kept);
