<?php

// What drawings cost: processor time as the server runs it, sizes, and ratios to the limits. Not a test: machines differ.

use App\Catalogue\CatalogueShelf;
use App\Drawing\SnakeSvg;
use App\Looks\Gallery;
use Bench\Stopwatch;
use Destino\Documents\ClutchReader;
use Destino\Documents\IdentificationDocument;
use Destino\Identification\Identification;

require __DIR__.'/../vendor/autoload.php';

$shelf = new CatalogueShelf(dirname(__DIR__).'/catalogue');
$gallery = new Gallery($shelf);
$genes = ['Normal', 'Pastel', 'Clown', 'Leopard', 'GHI Mojave', 'Piebald', 'Spider', 'Banana'];
$looks = array_map($gallery->ofText(...), $genes);

$print = function (string $what, float $measured, string $unit, float $limit): void {
    printf("%-52s %9.1f %-3s %.2f of the limit of %g %s\n", $what, $measured, $unit, $measured / $limit, $limit, $unit);
};
$print('forty thumbnails', Stopwatch::milliseconds(function () use ($looks): void {
    for ($i = 0; $i < 40; $i++) {
        SnakeSvg::content($looks[$i % count($looks)], 'small');
    }
}), 'ms', 320);
foreach (['small' => [8, 6], 'card' => [12, 13], 'full' => [40, 40], 'flat' => [40, 40]] as $size => [$time, $weight]) {
    $draw = fn ($look): string => SnakeSvg::content($look, $size);
    $print("one drawing, {$size}, mean", Stopwatch::milliseconds(fn () => array_map($draw, $looks)) / count($looks), 'ms', $time);
    $print("the largest drawing, {$size}", max(array_map(fn ($look) => strlen($draw($look)), $looks)) / 1000, 'kB', $weight);
}

$cues = array_slice($shelf->cues(), 0, 20);
$young = [];
for ($i = 1; $i <= 10; $i++) {
    $young[] = ['id' => (string) $i, 'cues' => array_map(fn ($cue) => $cue->states[($i + strlen($cue->key)) % 2], $cues)];
}
$document = [
    'format' => 'destino-clutch/1', 'dam' => ['genes' => 'Pastel Enchi Mojave het Clown'],
    'sires' => [['genes' => 'Fire Yellow Belly Spotnose Leopard het Clown']], 'hatchlings' => $young,
];
$reader = new ClutchReader($shelf, $document);
$print('eight genes, ten siblings, twenty cues: identified', Stopwatch::milliseconds(
    fn () => (new IdentificationDocument($shelf))->of(
        new Identification($shelf->catalogue(), $shelf->looks(), $reader->clutch, $reader->cues), $reader, 50,
    ),
), 'ms', 200);
