<?php

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** Holds for every page, at the desk, at 200 % zoom and on a phone, in both themes. */
class EveryPageTest extends BrowserTestCase
{
    protected const PLANS = 0.01;

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        yield 'ask somebody' => ['/animals/25/ask'];
        yield 'pair, empty' => ['/pair'];
        yield 'pair, answered' => ['/pair?sire_id=7&dam_id=3&target=Genetic+Stripe'];
        yield 'pair, linked to sex' => ['/pair?sire_id=16&dam_id=18&by=genotype&target=Banana,+female'];
        yield 'pair, wrong' => ['/pair?sire=Pastle&dam=Axanthic&eggs=none'];
        yield 'pair, to print' => ['/pair/sheet?sire_id=12&dam_id=13&target=Ultramel'];
        yield 'animals' => ['/animals'];
        yield 'animal' => ['/animals/3'];
        yield 'animal form' => ['/animals/3/edit'];
        yield 'animals as a list' => ['/animals?view=list'];
        yield 'racks' => ['/animals?view=rack&colour=readiness'];
        yield 'animals found' => ['/animals?genes=carries+Genetic+Stripe,+female,+ready'];
        yield 'animal with a conflict' => ['/animals/25'];
        yield 'history' => ['/animals/17/history'];
        yield 'statement' => ['/statements/1/edit'];
        yield 'a new animal' => ['/animals/create'];
        yield 'clutches' => ['/clutches'];
        yield 'a season reckoned' => ['/season/'.date('Y')];
        yield 'clutch' => ['/clutches/4'];
        yield 'clutch form' => ['/clutches/4/edit'];
        yield 'projects' => ['/projects'];
        yield 'project' => ['/projects/2'];
        yield 'project form' => ['/projects/1/edit'];
        yield 'story' => ['/projects/1/story'];
        yield 'prove' => ['/prove'];
        yield 'evidence' => ['/prove/3'];
        yield 'test crosses' => ['/prove/3/genetic-stripe'];
        yield 'notebook of an odd look' => ['/prove/traits/1'];
        yield 'a new notebook' => ['/prove/traits/create'];
        yield 'house rules' => ['/house'];
        yield 'building racks' => ['/racks'];
        yield 'in and out' => ['/exchange'];
        yield 'backups' => ['/backups'];
        yield 'people' => ['/people'];
        yield 'account' => ['/account'];
        yield 'own gene' => ['/genes/own'];
        yield 'season board' => ['/season'];
        yield 'eggs' => ['/clutches/9/eggs'];
        yield 'an egg' => ['/clutches/9/eggs?egg=5'];
        yield 'incubators' => ['/incubators'];
        yield 'an incubator' => ['/incubators/2?span=day'];
        yield 'keep or sell' => ['/young?season=2026'];
        yield 'guide' => ['/guide'];
        yield 'money' => ['/money'];
        yield 'weighing round' => ['/round/weight'];
        yield 'feeding round' => ['/round/feed'];
        yield 'genes' => ['/genes'];
        yield 'gene' => ['/genes/spider'];
        yield 'complex' => ['/complexes/bel'];
        yield 'luck' => ['/luck?chance=1/6&eggs=40&hits=0'];
        yield 'today' => ['/today'];
        yield 'bench' => ['/clutches/8/bench'];
        yield 'compare' => ['/genes/compare?genes[]=Normal&genes[]=Pastel+Clown&genes[]=Super+Mojave'];
        yield 'design' => ['/genes/design?base=Ultramel&wish[contrast]=more&wish[stripe]=keep'];
        yield 'masks and confusions' => ['/genes/confusions'];
        yield 'train' => ['/genes/train'];
        yield 'nothing there' => ['/animals/9999'];
    }

    #[DataProvider('pages')]
    public function test_the_page_is_accessible_fits_and_asks_no_other_host(string $path): void
    {
        $axe = (string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js');
        foreach ([['light', 1280, 800], ['dark', 390, 844], ['light', 640, 400]] as [$theme, $width, $height]) {
            $browser = $this->browser()->size($width, $height)->theme($theme);
            if ($width === 1280) {
                $browser->visit($path)->script($axe);
            }
            if ($width === 640) { // at 200 % zoom it is the same page: only what it needs in width may differ
                self::assertSame([], $browser->standingOut(), 'zoomed: nothing stands out of its sheet');

                continue;
            }
            $faults = $browser->driver->executeAsyncScript(
                "const done = arguments[0]; axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'], resultTypes: ['violations'] })
                    .then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ')).join(', '))))",
            );
            self::assertSame([], $faults, "{$theme}, {$width} wide");
            self::assertSame([], $browser->standingOut(), "{$width} wide: nothing stands out of its sheet");
            $hosts = $browser->script('return [...new Set(performance.getEntriesByType("resource").map(e => new URL(e.name).origin))]');
            self::assertSame([$this->address()], $hosts);
            $failed = $browser->script(
                'return performance.getEntriesByType("resource").filter(e => e.responseStatus >= 400).map(e => e.name)',
            );
            self::assertSame([], $failed);
        }
    }
}
