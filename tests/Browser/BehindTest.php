<?php

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\LargeSeeder;
use Tests\Browser\Support\Server;

/** A large collection with a worker: a page shows what was known, and brings the rest by itself when it is worked out. */
class BehindTest extends TestCase
{
    private static Server $server;

    private static Browser $browser;

    public static function setUpBeforeClass(): void
    {
        self::$server = Server::start(demo: true);
        self::$server->run('db:seed', '--class='.LargeSeeder::class, '--force', '--quiet');
        self::$browser = Browser::start(self::$server->address);
    }

    protected function setUp(): void
    {
        $this->state('Pastel'); // whatever is written asks for a worker
        self::work();
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser->quit();
        self::$server->stop();
    }

    public function test_what_follows_comes_by_itself_and_what_was_said_stays(): void
    {
        $this->state('Pastel het Clown')->waitFor('.said', 'Added');
        $this->assertStringContainsString('Updating the odds', self::$browser->text('[data-module="behind"]'));
        $young = $this->addressOf('Young Keel');
        self::$browser->visit($young)->waitFor('.answer', 'possible Pastel (50%)');
        $this->assertStringContainsString('Updating the odds', self::$browser->text('[data-module="behind"]'));
        self::work();
        self::$browser->waitFor('.answer', '50% het Clown');
        $this->assertSame([], self::$browser->all('[data-module="behind"]'));
    }

    public function test_a_page_on_which_something_was_typed_is_left_to_the_keeper(): void
    {
        $this->state('Pastel Enchi');
        self::$browser->visit($this->addressOf('Young Keel'))->waitFor('[data-module="behind"]', 'Updating the odds');
        self::$browser->script('document.querySelector("#mate-target").closest("details")?.setAttribute("open", "")');
        self::$browser->type('#mate-target', 'Clown');
        self::work();
        self::$browser->waitFor('[data-module="behind"]', 'odds are updated');
        $this->assertSame('Clown', self::$browser->script('return document.querySelector("#mate-target").value'));
        self::$browser->click('[data-show]')->waitFor('.answer', 'Enchi');
    }

    public function test_a_large_round_is_whole_with_and_without_a_connection(): void
    {
        $isWhole = 'return document.querySelector("[data-next]") === null && document.querySelectorAll("[data-row]").length > 100';
        self::$browser->visit('/today')->until('return navigator.serviceWorker.controller !== null');
        self::$browser->visit('/round/feed')->until($isWhole);
        $rows = 'return document.querySelectorAll("[data-row]").length';
        $all = self::$browser->script($rows);
        $this->assertSame($all, self::$browser->script('return new Set([...document.querySelectorAll("[data-row]")].map(row => row.dataset.row)).size'));
        $this->assertSame($all, self::$browser->script(
            'return [...document.querySelectorAll("[data-in-rack]")].reduce((sum, one) => sum + Number(one.textContent), 0)',
        ));
        $racks = 'return [...document.querySelectorAll("[data-rack]")].map(one => one.dataset.rack)';
        $this->assertSame(array_values(array_unique(self::$browser->script($racks))), self::$browser->script($racks), 'a rack is one');
        $last = '[data-rack]:last-of-type [data-row]:last-of-type';
        self::$browser->click("{$last} input[value=\"refused\"] + span")->waitFor("{$last} [data-said]", 'kept');
        self::$browser->click("{$last} input[value=\"refused\"] + span")->waitFor("{$last} [data-said]", 'taken back');
        self::$browser->cut();
        try {
            self::$browser->visit('/round/feed')->until($isWhole);
            $this->assertSame($all, self::$browser->script($rows));
        } finally {
            self::$browser->cut(false);
        }
    }

    public function test_a_form_that_is_on_its_way_is_not_taken_from_under_the_finger(): void
    {
        $this->state('Pastel Fire');
        self::$browser->visit($this->addressOf('Young Keel'))->waitFor('[data-module="behind"]', 'Updating the odds');
        // The answer to it is slow: what was sent stays on the page until it comes.
        self::$browser->script('const form = document.querySelector("form[action$=\'/statements\']"); form.dataset.mine = "1";
            form.dispatchEvent(new Event("submit", { bubbles: true, cancelable: true }))');
        self::work();
        self::$browser->waitFor('[data-module="behind"]', 'odds are updated');
        $this->assertSame('1', self::$browser->script('return document.querySelector("form[action$=\'/statements\']").dataset.mine'));
    }

    private static function work(): void
    {
        self::$server->run('queue:work', '--queue=quick', '--stop-when-empty', '--quiet');
    }

    private function state(string $text): Browser
    {
        self::$browser->visit($this->addressOf('Old Keel').'#statements');
        self::$browser->script('document.querySelectorAll("details").forEach(one => { one.open = true })');

        return self::$browser->type('form[action$="/statements"] [name="text"]', $text)
            ->click('form[action$="/statements"] button[type="submit"]');
    }

    private function addressOf(string $name): string
    {
        self::$browser->visit('/animals?view=list&find='.rawurlencode($name));
        foreach (self::$browser->all('main a[href*="/animals/"]') as $link) {
            if (str_contains($link->getText(), $name)) {
                return (string) parse_url((string) $link->getAttribute('href'), PHP_URL_PATH);
            }
        }
        self::fail("{$name} is not in the list: ".self::$browser->text());
    }
}
