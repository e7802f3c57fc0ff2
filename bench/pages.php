<?php

// Main pages of collections as they are used: families in which a quarter of the parents is not recorded, sixty entries in the log of
// each animal, thirty clutches of which seven have two possible sires. Processor time, the median and the 95th percentile of warm runs, as
// multiples of the lightest page; each page as the first after a change; questions to the database, size and memory.
// php bench/pages.php [sizes], 300 and 1,000 animals without any.

use App\Collection\Doorway;
use App\Jobs\WorkOutBeliefs;
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
const ENTRIES = 60;
const LIMIT_TIMES = 6;
const LIMIT_QUERIES = 40;
const LIMIT_MB = 128;

foreach (array_map(intval(...), array_slice($argv, 1)) ?: [300, 1000] as $size) {
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
            $parents = ! $isYoung ? [] : array_filter([ // a quarter of them is not recorded
                'sire_id' => mt_rand(0, 3) > 0 ? $anyOf($animals['male']) : null,
                'dam_id' => mt_rand(0, 3) > 0 ? $anyOf($animals['female']) : null,
            ]);
            $animal = $keeper->animals()->create([
                'name' => "Hull {$i}", 'number' => "H{$i}", 'sex' => $sex,
                'hatched_on' => sprintf('20%02d-07-%02d', $isYoung ? 25 : 20, mt_rand(1, 28)),
            ] + $parents);
            $isYoung || $animal->statements()->create(['text' => $genes[mt_rand(0, count($genes) - 1)], 'source' => 'own']);
            $isYoung || $animals[$sex][] = $animal->id;
            DB::table('care_entries')->insert(array_map(fn (int $week): array => [
                'animal_id' => $animal->id, 'kind' => $week % 3 === 0 ? 'weight' : 'feed',
                'on' => now()->subDays(7 * $week + mt_rand(0, 5))->format('Y-m-d'),
                'grams' => $week % 3 === 0 ? mt_rand(500, 2400) : null, 'outcome' => $week % 3 === 0 ? null : (mt_rand(0, 9) > 0 ? 'taken' : 'refused'),
                'created_at' => now(), 'updated_at' => now(),
            ], range(0, ENTRIES - 1)));
        }
        for ($i = 0; $i < 30; $i++) {
            $clutch = $keeper->clutches()->create([
                'dam_id' => $animals['female'][$i], 'laid_on' => '2026-05-05', 'eggs_good' => 7,
            ] + ($i % 2 === 0 ? ['hatched_on' => '2026-07-01', 'hatched' => 6] : []));
            foreach ($i < 7 ? [0, 1] : [0] as $other) {
                $clutch->sires()->create(['animal_id' => $animals['male'][($i + $other) % count($animals['male'])]]);
            }
        }
    });
    $clutch = $keeper->clutches()->firstOrFail();
    $used = function (): float {
        $times = getrusage();

        return 1e3 * ($times['ru_utime.tv_sec'] + $times['ru_stime.tv_sec']) + ($times['ru_utime.tv_usec'] + $times['ru_stime.tv_usec']) / 1e3;
    };
    $told = [];
    $open = function (string $address) use ($application, $used, &$told): float {
        memory_reset_peak_usage();
        DB::flushQueryLog();
        DB::enableQueryLog();
        $before = $used();
        $answer = $application->make(Kernel::class)->handle(Request::create($address));
        $took = $used() - $before;
        $told = [count(DB::getQueryLog()), strlen((string) $answer->getContent()) / 1e3, memory_get_peak_usage() / 1e6];
        $application->forgetScopedInstances();
        $answer->getStatusCode() === 200 || exit("{$address}: ".($answer->exception ?? $answer->getStatusCode())."\n");

        return $took;
    };
    $pages = [
        'lightest' => '/guide', 'Today' => '/today', 'Animals' => '/animals', 'an animal' => "/animals/{$animals['male'][0]}",
        'Pair' => '/pair',
        'a pair' => "/pair?sire_id={$animals['male'][0]}&dam_id={$animals['female'][0]}&target=Clown", 'Clutches' => '/clutches',
        'a clutch' => "/clutches/{$clutch->id}", 'Prove' => '/prove', 'evidence' => "/prove/{$animals['male'][0]}", 'Projects' => '/projects', 'Genes' => '/genes',
        'Season' => '/season', 'a round' => '/round/feed', 'Young' => '/young', 'Money' => '/money', 'parents' => '/animals/names?sex=female&find=clown',
    ];
    printf(
        "%d animals (limits: %d times the lightest, %d questions, %d MB)\n%-10s %8s %8s %8s %14s %9s %8s %6s\n", $size, LIMIT_TIMES, LIMIT_QUERIES,
        LIMIT_MB, '', 'median', '95 %', 'times', 'after a change', 'questions', 'kB', 'MB',
    );
    $lightest = 0.0;
    foreach ($pages as $name => $address) {
        $open($address); // what is only done once is done
        $founder = $keeper->animals()->findOrFail($animals['male'][1 + mt_rand(0, 5)]);
        $founder->statements()->create(['text' => 'Fire', 'source' => 'own']);
        $after = $open($address);
        (new WorkOutBeliefs($keeper->id))->handle($application->make(Doorway::class)); // as a worker does
        $open($address);
        $times = array_map(fn (): float => $open($address), range(1, 9));
        sort($times);
        $lightest = $lightest > 0.0 ? $lightest : $times[4];
        printf(
            "%-10s %5.0f ms %5.0f ms %8.1f %8.0f = %3.1f %9d %8.0f %6.0f%s\n", $name, $times[4], $times[8], $times[4] / $lightest, $after,
            $after / $lightest, $told[0], $told[1], $told[2],
            $times[4] > LIMIT_TIMES * $lightest || $told[0] > LIMIT_QUERIES || $told[2] > LIMIT_MB ? '  over a limit' : '',
        );
    }
}
ob_end_flush();
unlink($file);
Illuminate\Support\Facades\File::deleteDirectory($kept);
