<?php

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** Holds for every page, at the desk, at 200 % zoom and on a phone, in both themes. */
abstract class EveryPageCase extends BrowserTestCase
{
    protected const PLANS = 0.01;

    /** @return iterable<string, array{string}> */
    abstract public static function pages(): iterable;

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
