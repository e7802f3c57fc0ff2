<?php

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** How large a page may be: its header, its length, what can be tapped before anything is opened, filled buttons, tables. */
class BoundsTest extends BrowserTestCase
{
    protected const PLANS = 0.01;

    /** Screens: what a phone shows above its bar, and a desk. */
    private const SCREEN = [390 => 779, 1280 => 800];

    private const HEADER = [390 => 96, 1280 => 72];

    private const SCREENS = [390 => 6.0, 1280 => 5.0];

    /** Controls on a phone. */
    private const CONTROLS = 50;

    /** A round goes through every animal, and a list has a link for each: there the length is the work. */
    private const LISTS = ['/round/feed', '/round/weight', '/animals?view=list', '/animals?view=rack&colour=readiness'];

    /** Tables of two sides, which a list of rows would take apart. Drawings in which time runs sideways are none. */
    private const TABLES = ['/complexes/bel', '/prove/3/genetic-stripe'];

    private const MEASURES = <<<'JS'
        const seen = e => { const r = e.getBoundingClientRect(); return r.width > 0 && r.height > 0 && e.checkVisibility({ visibilityProperty: true }) }
        const all = of => [...document.querySelectorAll(of)].filter(seen)
        const sideways = all('#main .scroll:has(table)').filter(e => e.scrollWidth > e.clientWidth + 1).map(e => e.getAttribute('aria-label') ?? e.className)
        return {
            height: document.documentElement.scrollHeight,
            header: Math.max(0, ...all('.station-head').map(e => e.getBoundingClientRect().height)),
            controls: all('#main :is(a, button, input:not([type=hidden]), select, textarea, summary)').length,
            filled: all('#main .button.main').map(e => e.textContent.trim()),
            sideways,
        }
        JS;

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        yield from EveryPageTest::pages();
        yield from EveryPageOfTheHouseTest::pages();
        yield from EveryPageOfTheSeasonTest::pages();
    }

    #[DataProvider('pages')]
    public function test_a_page_keeps_within_its_bounds(string $path): void
    {
        foreach ([390 => 844, 1280 => 800] as $width => $height) {
            $this->browser()->size($width, $height)->visit($path);
            $found = $this->settled();
            self::assertLessThanOrEqual(self::HEADER[$width], $found['header'], "the header, {$width} wide");
            if (! in_array($path, self::LISTS, true)) {
                self::assertLessThanOrEqual(self::SCREENS[$width], round($found['height'] / self::SCREEN[$width], 1), "screens, {$width} wide");
            }
            self::assertLessThanOrEqual(1, count($found['filled']), 'one filled button: '.implode(', ', $found['filled']));
            if ($width === 390 && ! in_array($path, self::LISTS, true)) {
                self::assertLessThanOrEqual(self::CONTROLS, $found['controls'], 'what can be tapped');
            }
            if ($width === 390 && ! in_array($path, self::TABLES, true)) {
                self::assertSame([], $found['sideways'], 'no table scrolls sideways on a phone');
            }
        }
    }

    /** @return array{height: int, header: float, controls: int, filled: list<string>, sideways: list<string>} when folds have folded */
    private function settled(): array
    {
        $this->browser()->until('return document.documentElement.dataset.started === "all"');
        $before = null;
        for ($try = 0; $try < 30; $try++) {
            usleep(150_000);
            $found = $this->browser()->script(self::MEASURES);
            if ($found === $before && $try > 3) {
                break;
            }
            $before = $found;
        }

        return $found;
    }
}
