<?php

// What drawings cost: processor time as the server runs it, sizes, and ratios to the limits. Not a test: machines differ.

use App\Catalogue\CatalogueShelf;
use App\Drawing\SkinSvg;
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
        SkinSvg::thumbnail($looks[$i % count($looks)], 'x');
    }
}), 'ms', 100);
$print(
    'a full map, mean', Stopwatch::milliseconds(fn () => array_map(fn ($look) => SkinSvg::full($look, 'x'), $looks)) / count($looks), 'ms',
    40,
);
$print('the largest full map', max(array_map(fn ($look) => strlen(SkinSvg::full($look, 'x')), $looks)) / 1000, 'kB', 60);
$print('the largest thumbnail', max(array_map(fn ($look) => strlen(SkinSvg::thumbnail($look, 'x')), $looks)) / 1000, 'kB', 4);

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
