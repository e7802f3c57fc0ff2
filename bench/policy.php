<?php

// Answers to drawn projects of three sizes: processor time to a first figure and to the whole one, runs and memory.

use Destino\Documents\ProjectReader;
use Destino\Planning\Policy\Policy;
use Illuminate\Contracts\Console\Kernel;
use Tests\Support\Shelf;

require __DIR__.'/../vendor/autoload.php';
(require __DIR__.'/../bootstrap/app.php')->make(Kernel::class)->bootstrap();

$seconds = function (callable $work): float {
    $now = function (): float {
        $used = getrusage();

        return $used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec'] + ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']) / 1e6;
    };
    $before = $now();
    $work();

    return $now() - $before;
};
$animal = function (array $genes, int $rarely, bool $isMale): array {
    $own = array_filter($genes, fn (): bool => mt_rand(1, $rarely) === 1);

    return ['sex' => $isMale ? 'male' : 'female', 'genes' => $own === [] ? 'Normal' : implode(' ', $own), 'age' => mt_rand(6, 60)];
};
$sizes = [
    [12, ['het Clown', 'het Piebald', 'Pastel'], 8, 10, 2, 15], [30, ['het Clown', 'het Piebald', 'Pastel', 'Mojave'], 10, 0, 2, 60],
    [12, ['het Clown', 'het Piebald', 'Pastel', 'Mojave', 'Enchi'], 10, 0, 60, 60],
];
foreach ($sizes as [$count, $genes, $horizon, $offers, $first, $final]) {
    mt_srand(5);
    $animals = $market = [];
    for ($i = 0; $i < $count; $i++) {
        $animals[] = ['id' => "A{$i}"] + $animal($genes, 3, $i % 3 === 0);
    }
    for ($i = 0; $i < $offers; $i++) {
        $market[] = $animal($genes, 2, $i % 2 === 0) + ['price' => mt_rand(100, 900)];
    }
    $project = (new ProjectReader(Shelf::facts()))->read([
        'format' => 'destino-project/1', 'target' => str_replace('het ', '', implode(' + ', $genes)), 'animals' => $animals,
        'market' => $market, 'horizon' => $horizon,
    ]);
    $answers = [];
    foreach ([true, false] as $isQuick) {
        $answer = null;
        $took = $seconds(function () use ($project, $isQuick, &$answer): void {
            $answer = (new Policy(Shelf::catalogue(), $project))->answer(2000, 1, $isQuick);
        });
        $answers[] = [$took, $answer];
    }
    printf(
        "%d animals, %d offers, %d loci, %d seasons: first %.1f s (limit %d), whole %.1f s (limit %d; %d runs, %.0f %%), %.0f MB\n", $count,
        $offers, count($genes), $horizon, $answers[0][0], $first, $answers[1][0], $final, $answers[1][1]->outcome->runs,
        100 * $answers[1][1]->outcome->by($horizon), memory_get_peak_usage() / 1e6,
    );
}
