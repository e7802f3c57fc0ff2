<?php

// A season of one box at one reading a minute: the chart, the warmth and a month from a file. Medians of five, processor time.

use App\House\House;
use App\Incubation\Chart;
use App\Incubation\ReadingFile;
use App\Incubation\Warmths;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

putenv('DB_DATABASE='.($file = tempnam(sys_get_temp_dir(), 'readings')));
require __DIR__.'/../vendor/autoload.php';
(require __DIR__.'/../bootstrap/app.php')->make(Kernel::class)->bootstrap();
config(['database.connections.sqlite.database' => $file]);
Artisan::call('migrate', ['--force' => true]);

$keeper = User::factory()->create();
$incubators = array_map(
    fn (int $i) => $keeper->incubators()->create(
        ['name' => "Box {$i}", 'place' => "box-{$i}", 'celsius' => 31.5, 'low' => 31, 'high' => 32],
    ),
    range(1, 10),
);
$end = intdiv(time(), 60) * 60;
foreach ($incubators as $incubator) {
    for ($from = $end - 65 * 86_400; $from < $end; $from += 6 * 3600) {
        DB::table('readings')->insert(array_map(fn (int $i): array => [
            'user_id' => $keeper->id, 'place' => $incubator->place, 'kind' => 'temperature', 'value' => 31.5 + sin($i / 40) / 4,
            'at' => gmdate('Y-m-d H:i:s', $from + 60 * $i), 'created_at' => gmdate('Y-m-d H:i:s', $from + 60 * $i),
        ], range(0, 359)));
    }
}
$dam = $keeper->animals()->create(['name' => 'Dam', 'sex' => 'female']);
$clutch = $keeper->clutches()->create(['dam_id' => $dam->id, 'incubator_id' => $incubators[0]->id]);
$clutch->events()->create(['kind' => 'laid', 'on' => Carbon::today()->subDays(60)->format('Y-m-d'), 'count' => 7]);
$clutch = $clutch->fresh(['incubator', 'events']);

$list = tempnam(sys_get_temp_dir(), 'month');
$month = function (int $run) use ($list): void {
    $lines = "at,temperature,humidity\n";
    for ($i = 0; $i < 30 * 1440; $i++) {
        $lines .= gmdate('Y-m-d H:i:s', 1_600_000_000 + $run * 3_000_000 + 60 * $i).',31.5,'.(80 + $i % 10)."\n";
    }
    file_put_contents($list, $lines);
};

$measured = ['chart of a season' => [], 'chart of a day' => [], 'warmth of a clutch' => [], 'a month from a file' => []];
for ($run = 0; $run < 5; $run++) {
    $month($run);
    foreach ([
        'chart of a season' => fn () => (new Chart($incubators[0], 'temperature', 'season', Carbon::now(), new House))->line(),
        'chart of a day' => fn () => (new Chart($incubators[0], 'temperature', 'day', Carbon::now(), new House))->line(),
        'warmth of a clutch' => fn () => Warmths::of($clutch, Carbon::now()),
        'a month from a file' => fn () => (new ReadingFile($incubators[1], new House))->take($list),
    ] as $name => $do) {
        $before = getrusage();
        $do();
        $after = getrusage();
        $measured[$name][] = 1000 * (
            $after['ru_utime.tv_sec'] + $after['ru_stime.tv_sec'] - $before['ru_utime.tv_sec'] - $before['ru_stime.tv_sec']
        )
            + ($after['ru_utime.tv_usec'] + $after['ru_stime.tv_usec'] - $before['ru_utime.tv_usec'] - $before['ru_stime.tv_usec']) / 1000;
    }
}
foreach ($measured as $name => $times) {
    sort($times);
    printf("%-22s %7.0f ms\n", $name, $times[2]);
}
unlink($file);
unlink($list);
