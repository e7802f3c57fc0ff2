<?php

// Takes the pictures of docs/screenshots from a fresh demo collection: one of each main view.

use App\Guide\Chapter;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\Server;

require __DIR__.'/../vendor/autoload.php';

$views = [
    'pair' => ['/pair?'.http_build_query(['sire_id' => 12, 'dam_id' => 13, 'target' => 'Ultramel + Mojave/Mystic']), 1280, 1180, 'light'],
    'pair-phone' => ['/pair?'.http_build_query(['sire_id' => 7, 'dam_id' => 3, 'target' => 'Genetic Stripe']), 390, 844, 'light'],
    'animals' => ['/animals', 1280, 800, 'light'],
    'today-phone' => ['/today', 390, 844, 'light'],
    'bench' => ['hatchlings', 1280, 1000, 'light'],
    'identify-phone' => ['hatchling', 390, 844, 'light'],
    'clutch' => ['/clutches/4', 1280, 760, 'light'],
    'eggs-phone' => ['/clutches/9/eggs?egg=5', 390, 844, 'light'],
    'incubator' => ['/incubators/2?span=day', 1280, 900, 'light'],
    'board' => ['/season', 1280, 800, 'dark'],
    'money' => ['/money', 1280, 1000, 'light'],
    'project' => ['/projects/1', 1280, 1300, 'light'],
    'house' => ['/house', 1280, 1000, 'dark'],
    'import' => ['import', 1280, 1000, 'light'],
    'animal' => ['/animals/8', 1280, 1080, 'light'],
    'round-phone' => ['/round/feed', 390, 844, 'light'],
    'prove' => ['/prove', 1280, 1100, 'light'],
    'genes' => ['/genes', 1280, 800, 'light'],
    'design' => ['/genes/design?'.http_build_query(['base' => 'Ultramel', 'wish' => ['contrast' => 'more', 'stripe' => 'keep']]), 1280, 1200, 'light'],
];
/** Uploads a small list with the usual faults, and stays on its preview. */
function importPreview(Browser $browser): void
{
    $list = sys_get_temp_dir().'/autumn-list.csv';
    file_put_contents($list, "ID,Name,Sex,Hatched,Morph,Father,Mother,Weight,Mood\n101,Bollard,m,2024-07,Pastel het Clown,Undertow,Vellum,780,calm\n102,Capstan,f,03/04/2023,Mojave Pastle,,,1210,\n103,Dory,female,2023,Fire het Clown,,Vellum,1340,strikes\n003,Calico Jenny,f,2021-06-21,Calico,,,1590,\n104,Eyot,perhaps,2024,Normal,,,640,\n");
    $browser->visit('/exchange');
    $browser->find('#file')->sendKeys($list);
    $browser->click('main form button[type="submit"]');
    $browser->waitFor('.answer', 'rows can be brought in');
}
/** Four young of the clutch that hatches, one of them looked at. */
function hatchlings(Browser $browser): void
{
    $browser->size(1280, 900)->visit('/clutches/9');
    for ($i = 1; $i <= 4; $i++) {
        $browser->script('document.querySelector("#hatchling-form").open = true');
        $browser->click('#hatchling-form button[type=submit]')->waitFor('.said', 'is in the collection')->visit('/clutches/9');
    }
    identified($browser);
    for ($i = 0; $i < 3; $i++) {
        $browser->click('.question:not([hidden]) .reply:nth-child(2)');
    }
    $browser->until('return Object.keys(localStorage).every(key => !key.startsWith("destino.outbox"))');
    $browser->visit('/clutches/9/bench');
}

function identified(Browser $browser): void
{
    $browser->visit('/clutches/9/identify')->until('return document.querySelectorAll("[data-question]:not([hidden])").length === 1');
    $browser->until('return document.querySelector(".question:not([hidden]) img")?.complete ?? true');
}

/** The same picture, small, for the chapters of the guide that show it. */
function forTheGuide(string $name, string $picture): void
{
    foreach (Chapter::cases() as $chapter) {
        if ($chapter->picture() === $name) {
            $large = imagecreatefrompng($picture);
            imagewebp(imagescale($large, min(900, imagesx($large)), -1, IMG_BICUBIC), dirname(__DIR__)."/public/pictures/{$name}.webp", 78);
        }
    }
}

$folder = dirname(__DIR__).'/docs/screenshots';
is_dir($folder) || mkdir($folder, 0775, true);
$server = Server::start(demo: true, works: true, plans: ($argv[1] ?? 'project') === 'project' ? .5 : 0);
$browser = Browser::start($server->address);
if (($argv[1] ?? '') === 'identify-phone') {
    hatchlings($browser); // the young that stand there after the picture of the bench
}
foreach ($views as $name => [$path, $width, $height, $theme]) {
    if (isset($argv[1]) && $argv[1] !== $name) {
        continue;
    }
    // Phone widths come from the device emulation: a window cannot be made that narrow.
    $browser->size($width, $height);
    $browser->theme($theme);
    match ($path) {
        'import' => importPreview($browser),
        'hatchlings' => hatchlings($browser),
        'hatchling' => identified($browser),
        default => $browser->visit($path),
    };
    usleep(700_000);
    $browser->picture("{$folder}/{$name}.png");
    forTheGuide($name, "{$folder}/{$name}.png");
    echo "{$name}.png\n";
}
$browser->quit();
$server->stop();
