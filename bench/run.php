<?php

// What the computation costs, as counts and as ratios to limits or to each other. Not a test: machines differ.

use App\Catalogue\CatalogueShelf;
use Bench\Site;
use Bench\Stopwatch;
use Destino\Genome\Catalogue;
use Destino\Genome\Sex;
use Destino\Pairing\Asking\Prediction;
use Destino\Pairing\Asking\Question;
use Destino\Pairing\By;

require __DIR__.'/../vendor/autoload.php';

$root = dirname(__DIR__);
$shelf = new CatalogueShelf($root.'/catalogue');
$catalogue = $shelf->catalogue();
$names = $shelf->names();

/** One copy at each of the first n unlinked loci: n segregating loci when paired with a normal. */
function genes(Catalogue $catalogue, int $count): string
{
    $genes = [];
    foreach ($catalogue->loci as $locus) {
        if ($locus->group === $locus->key && $locus->key !== Sex::LOCUS && count($genes) < $count) {
            $genes[] = $catalogue->oneCopy($catalogue->allele($locus->alleles[0]))->text;
        }
    }

    return implode(' ', $genes);
}

function line(string $what, float $measured, string $unit, ?float $limit = null): void
{
    printf(
        "%-66s %10s %-3s%s\n", $what, number_format($measured, $measured < 10 ? 2 : 1), $unit,
        $limit === null ? '' : sprintf('  %.2f of the limit of %g %s', $measured / $limit, $limit, $unit),
    );
}

echo "Six genes, by look, reading included\n";
$six = new Question('Pastel Mojave Enchi het Clown het Piebald Spotnose', 'Pastel Mystic het Clown 66% het Piebald', by: By::Look);
line('  core, once warm', Stopwatch::milliseconds(fn () => Prediction::of($catalogue, $six, $names)->outcomes()->top(60)), 'ms', 5);

echo "Twenty segregating loci, by genotype: total, the first 50, a target\n";
$twenty = genes($catalogue, 20);
$many = new Question($twenty, 'Normal', 'Pastel + Enchi, not Spider');
$before = memory_get_usage();
memory_reset_peak_usage();
$prediction = Prediction::of($catalogue, $many, $names);
$space = $prediction->outcomes();
$space->top(50);
$memory = (memory_get_peak_usage() - $before) / 1e6;
printf("  outcomes in all: %s; chance of the target: %s\n", $space->total(), $prediction->target?->chance->perEgg()->toString());
line('  core', Stopwatch::milliseconds(fn () => Prediction::of($catalogue, $many, $names)->outcomes()->top(50)), 'ms', 50);
line('  memory beyond what was there', $memory, 'MB', 32);

echo "How time grows with segregating loci (genotypes: total, first 50, target)\n";
$first = null;
foreach ([4, 8, 12, 16, 20, 24] as $loci) {
    $question = new Question(genes($catalogue, $loci), genes($catalogue, $loci), 'Pastel');
    $time = Stopwatch::milliseconds(fn () => Prediction::of($catalogue, $question, $names)->outcomes()->top(50), 7);
    $first ??= $time;
    printf(
        "  %2d loci, %18s outcomes: %7.2f ms, %5.1f times as long as 4 loci, %s times as many outcomes\n", $loci,
        number_format(3 ** $loci), $time, $time / $first, number_format(3 ** $loci / 81),
    );
}

echo "Command line\n";
$php = escapeshellarg(PHP_BINARY).' '.escapeshellarg($root.'/artisan');
[$version, $predict] = Stopwatch::alternately(
    "{$php} --version",
    "{$php} destino:predict --sire='Pastel het Clown' --dam='Mojave/Mystic het Clown' --target='Clown + Pastel' --json",
);
line('  artisan --version', $version, 'ms');
line('  predict, as a multiple of it', $predict / $version, 'x', 1.5);

echo "Pages, with 500 animals in 10 generations and 20,000 log entries, on the server of bin/destino\n";
$site = new Site;
$site->collection(500, 20_000);
$pairing = '/pair?'.http_build_query(['sire' => $six->sire, 'dam' => $six->dam, 'target' => 'Clown + Pastel']);
foreach ([
    'pairing, six genes with a target, typed' => [$pairing, 150],
    'animals, cards' => ['/animals', 150],
    'animals, list' => ['/animals?view=list', 150],
    'animals, racks' => ['/animals?view=rack', 150],
    'filter: carries Clown, female' => ['/animals?genes=carries+Clown,+female', 150],
    'filter: carries Clown, female, ready' => ['/animals?genes=carries+Clown,+female,+ready', 150],
    'an animal of the last generation' => ['/animals/495', 150],
    'a founder with many descendants' => ['/animals/1', 150],
] as $what => [$page, $limit]) {
    line("  {$what}", Stopwatch::milliseconds(fn () => $site->get($page)), 'ms', $limit);
}
line('  animals, right after a change (beliefs worked out anew)', Stopwatch::milliseconds(function () use ($site): void {
    $site->touch();
    $site->get('/animals?genes=carries+Clown');
}, 5), 'ms');
$site->stop();
