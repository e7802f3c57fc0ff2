<?php

// What planning costs: searching, playing, finding pairs, and how each grows.

use App\Catalogue\CatalogueShelf;
use Bench\Stopwatch;
use Destino\Documents\ProjectReader;
use Destino\Planning\Planner;
use Destino\Planning\Search\PairFinder;

require __DIR__.'/../vendor/autoload.php';

$shelf = new CatalogueShelf(dirname(__DIR__).'/catalogue');
$genes = [
    'Clown', 'het Clown', 'Piebald', 'het Piebald', 'Pastel', 'Pastel het Clown', 'Mojave', 'Mojave het Piebald', 'Pastel Mojave',
    '66% het Clown', 'het Clown het Piebald', 'Normal',
    'Clown', 'Piebald het Clown', 'Pastel Clown', 'Mojave Piebald', 'Pastel het Piebald', 'Mojave het Clown', 'Super Pastel',
    'Clown het Piebald', 'Pastel Mojave het Clown', 'Pastel Piebald',
];
$document = fn (string $target, int $animals, int $offers, int $horizon = 10): array => [
    'format' => 'destino-project/1', 'target' => $target, 'horizon' => $horizon,
    'animals' => array_map(
        fn (int $i): array => [
            'id' => "A{$i}", 'sex' => $i % 2 ? 'male' : 'female', 'genes' => $genes[$i % 12], 'age' => 20 + 3 * $i,
            'weight' => $i % 2 ? 700 : 1600,
        ],
        range(0, $animals - 1),
    ),
    'market' => $offers === 0
        ? []
        : array_map(
            fn (int $i): array => [
                'id' => "O{$i}", 'sex' => $i % 2 ? 'female' : 'male', 'genes' => $genes[12 + $i % 10], 'age' => 34,
                'price' => 200 + 150 * $i,
            ],
            range(0, $offers - 1),
        ),
];
$planner = fn (array $document): Planner => new Planner($shelf->catalogue(), (new ProjectReader($shelf))->read($document));
$line = fn (string $what, float $milliseconds, ?float $limit = null) => printf(
    "%-72s %9.0f ms%s\n", $what, $milliseconds,
    $limit === null ? '' : sprintf('  %.2f of the limit of %g ms', $milliseconds / $limit, $limit),
);

$shelf->catalogue();
memory_reset_peak_usage();
$four = $document('Clown + Piebald + Pastel + Mojave', 12, 10);
$line(
    'two recessives and two co-dominants, 12 animals, 10 offers: routes',
    Stopwatch::milliseconds(fn () => $planner($four)->routes(), 3), 2000,
);
$ready = $planner($four);
$routes = $ready->routes();
foreach ($routes as $route) {
    $line(
        "  2,000 runs of 10 seasons: {$route->name}, ".count($route->steps).' crosses',
        Stopwatch::milliseconds(fn () => $ready->play($route, 2000, 1), 1), 5000,
    );
}
$line('five loci (Clown, Piebald, Pastel, Mojave, Enchi): routes', Stopwatch::milliseconds(function () use ($planner, $document): void {
    $five = $document('Clown + Piebald + Pastel + Mojave + Enchi', 12, 10);
    $five['animals'][8]['genes'] = 'Pastel Enchi';
    $planner($five)->routes();
}, 1), 10_000);
$line('the same: a first answer (the fastest route)', Stopwatch::milliseconds(fn () => $planner($four)->routes(true), 3), 2000);
$many = $document('Clown + Piebald + Pastel + Mojave', 300, 0);
$line('pair finder, 150 × 150 animals, four genes', Stopwatch::milliseconds(function () use ($planner, $many): void {
    $space = $planner($many)->space();
    (new PairFinder($space))->best($space->project->founders);
}, 3), 2000);
foreach ([6, 12, 24] as $animals) {
    $line(
        "  four loci, {$animals} animals, no offers: routes",
        Stopwatch::milliseconds(fn () => $planner($document('Clown + Piebald + Pastel + Mojave', $animals, 0))->routes(), 1),
    );
}
printf("%-72s %9.0f MB\n", 'memory at the most', memory_get_peak_usage() / 1e6);
