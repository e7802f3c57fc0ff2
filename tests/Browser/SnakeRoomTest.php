<?php

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Support\Browser;

/** The phone in one hand: rounds, eggs, the connection that breaks, a season from the first lock to the young that is sold. */
class SnakeRoomTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->browser()->size(390, 844);
    }

    protected function tearDown(): void
    {
        $this->hang(false);
        $this->browser()->cut(false);
        $this->browser()->visit('/today')->script('localStorage.clear()');
    }

    public function test_a_first_shed_and_a_meal_are_within_three_taps(): void
    {
        foreach (['shed', 'fed'] as $what) {
            $browser = $this->browser()->visit('/animals')->click('.rail > .station[href$="/today"]'); // one
            $browser->waitFor('h1', 'Today');
            $form = $browser->find('form.taps[action*="/animals/"]');
            $name = (string) $form->getAttribute('data-about');
            $button = $form->findElement(WebDriverBy::cssSelector("button[value='{$what}']"));
            $browser->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" })', $button);
            $button->click(); // two
            $browser->waitFor('.said', "{$name}: {$what}");
            $browser->click('.said button');
            $browser->waitFor('.said', 'Removed');
        }
    }

    /** The place on Today of a female. */
    private function row(string $dam): RemoteWebElement
    {
        foreach ($this->browser()->all('.due > li') as $row) {
            if (str_contains($row->getText(), $dam)) {
                return $row;
            }
        }
        self::fail("{$dam} is not on Today: ".$this->browser()->text());
    }

    private function tap(RemoteWebElement $within, string $what): void
    {
        foreach ($within->findElements(WebDriverBy::cssSelector('.taps button, .button')) as $button) {
            if (lcfirst(trim((string) $button->getDomProperty('textContent'))) === $what) {
                $this->browser()->open($button); // folded: one tap more
                $this->browser()->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" })', $button);
                $button->click();

                return;
            }
        }
        self::fail("There is no button “{$what}” in: {$within->getText()}");
    }

    public function test_the_best_mate_is_found_and_the_pairing_planned_on_a_phone(): void
    {
        $browser = $this->browser()->visit('/pair?sire_id=7&target=Genetic+Stripe');
        $browser->waitFor('#answer', 'The best mates for Gunwale toward Genetic Stripe');
        self::assertSame(390, (int) $browser->script('return document.documentElement.scrollWidth'));
        $first = $browser->find('#answer tbody tr');
        foreach (['An egg', 'In a clutch', 'Ready', 'Projects', 'House rules'] as $label) {
            self::assertCount(1, $first->findElements(WebDriverBy::cssSelector("td[data-label='{$label}']")), $label);
        }
        $pair = $browser->find('#answer tbody a')->getText();
        $browser->click('#answer tbody a');
        $browser->waitFor('#ask summary', 'wanted Genetic Stripe');
        foreach (explode(' × ', $pair) as $name) {
            self::assertStringContainsString($name, $browser->find('#ask summary')->getText());
        }
        $browser->click('#ask summary');
        self::assertTrue($browser->find('#target')->isDisplayed(), 'what was asked can be changed');
    }

    public function test_what_several_did_is_one_tap_more_and_undone_at_once(): void
    {
        $browser = $this->browser()->visit('/today');
        $ticks = $browser->all('input[form="several-begin"]');
        self::assertGreaterThan(1, count($ticks));
        $name = fn (RemoteWebElement $tick): string => str_replace('Tick ', '', (string) $tick->getAttribute('aria-label'));
        $names = array_map($name, array_slice($ticks, 0, 2));
        foreach (array_slice($ticks, 0, 2) as $tick) {
            $browser->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" })', $tick);
            $tick->click();
        }
        $browser->click('#several-begin button[value="fed"]');
        $browser->waitFor('.said', 'Fed logged for '.implode(', ', $names));
        $browser->click('.said button')->waitFor('.said', 'Undone for 2.');
        $browser->click('#several-begin button[value="shed"]')->waitFor('main', 'Tick the animals first');
    }

    /** What is logged of the clutch that is open, also where it is folded. */
    private function happened(): string
    {
        return (string) $this->browser()->script('return document.querySelector("#season ul").textContent');
    }

    public function test_a_tap_without_a_connection_waits_and_is_made_once(): void
    {
        $browser = $this->browser()->visit('/today');
        $browser->until('return document.querySelector("[data-outbox]").hidden');
        $browser->cut();
        $this->tap($this->row('Estuary'), 'separated');
        $browser->waitFor('[data-outbox-says]', '1 entry waiting on this device (no connection): separated, Estuary.');
        $this->tap($this->row('Estuary'), 'follicles felt');
        $browser->waitFor('[data-outbox-says]', '2 entries waiting on this device');
        $browser->cut(false);
        $browser->waitFor('[data-outbox-says]', '2 waiting entries sent.');
        $clutch = $this->row('Estuary')->findElement(WebDriverBy::cssSelector('a'))->getAttribute('href');
        $browser->driver->get((string) $clutch);
        $happened = $this->happened();
        self::assertSame([1, 1], [substr_count($happened, 'Separated on'), substr_count($happened, 'Follicles felt')]);
    }

    public function test_what_reached_the_server_without_an_answer_is_made_once(): void
    {
        $browser = $this->browser()->visit('/today');
        // The answer is lost on the way back: the page sends it again, and the collection has it once.
        $browser->script('
            const ask = window.fetch
            let lost = false
            window.fetch = async (...all) => { const answer = await ask(...all); if (!lost) { lost = true; throw new TypeError("lost") } return answer }');
        $this->tap($this->row('Estuary'), 'locked');
        $browser->waitFor('[data-outbox-says]', '1 entry waiting');
        $browser->click('[data-outbox-send]');
        $browser->waitFor('[data-outbox-says]', '1 waiting entry sent.');
        $browser->driver->get((string) $this->row('Estuary')->findElement(WebDriverBy::cssSelector('a'))->getAttribute('href'));
        self::assertSame(1, substr_count($this->happened(), 'Locked on '.date('j M Y')));
    }

    /** A new hatchling of a clutch of the demo, with its first question. */
    private function identified(string $name, int $clutch): Browser
    {
        $browser = $this->browser()->visit("/clutches/{$clutch}");
        $browser->script('for (const one of document.querySelectorAll("details")) one.open = true');
        $browser->type('#name', $name)->click('#hatchling-form button[type=submit]');
        $browser->waitFor('.said', "{$name} is in the collection");
        $browser->visit("/clutches/{$clutch}/bench");
        foreach ($browser->all('a.sibling') as $one) {
            if (str_contains($one->getText(), $name)) {
                $link = (string) $one->getAttribute('href');
            }
        }
        $browser->driver->get($link ?? self::fail("{$name} is not among its siblings"));

        return $browser->until('return document.querySelectorAll("[data-question]:not([hidden])").length === 1');
    }

    public function test_a_hatchling_is_asked_one_question_after_another(): void
    {
        $browser = $this->identified('Skipper', 8);
        $page = $browser->driver->getCurrentURL();
        self::assertSame(390, (int) $browser->script('return document.documentElement.scrollWidth'));
        $asked = fn (): string => $browser->find('[data-question]:not([hidden])')->getAttribute('data-question') ?? '';
        $first = $asked();
        $browser->click('[data-question]:not([hidden]) .reply');
        self::assertNotSame($first, $asked(), 'the next stands there at once');
        $second = $asked();
        $browser->click('[data-later]');
        self::assertNotSame($second, $asked());
        $browser->click('[data-undo]');
        self::assertSame($first, $asked(), 'the last answer is taken back where it was given');
        self::assertSame([], $browser->all('[data-question]:not([hidden]) .reply.is-seen'));
        $browser->until('return Object.keys(localStorage).every(key => !key.startsWith("destino.outbox"))');
        $browser->driver->get($page);
        $browser->until('return document.querySelectorAll("[data-question]:not([hidden])").length === 1');
        self::assertSame($first, $asked(), 'nothing of it is kept');
        $browser->click('[data-cannot]');
        $browser->driver->get($page);
        $browser->until('return document.querySelectorAll("[data-question]:not([hidden])").length === 1');
        self::assertNotSame($first, $asked(), 'what cannot be told is not asked again tomorrow');
        $browser->script('const any = document.querySelector("[data-any]"); any.value = arguments[0]; any.dispatchEvent(new Event("change"))', $first);
        self::assertSame($first, $asked(), 'but by its name');
    }

    public function test_two_siblings_are_asked_beside_each_other(): void
    {
        $browser = $this->identified('Bosun Two', 8);
        $browser->click('#beside option:nth-child(2)')->waitFor('h1', ' and ');
        $browser->until('return document.querySelectorAll("[data-question]:not([hidden]) form").length === 2');
        self::assertSame(390, (int) $browser->script('return document.documentElement.scrollWidth'));
        $asked = fn (): string => $browser->find('[data-question]:not([hidden])')->getAttribute('data-question') ?? '';
        $first = $asked();
        for ($tap = 0; $tap < 2 && $asked() === $first; $tap++) { // one for each that is not sure by itself
            $browser->click('[data-question]:not([hidden]) form[data-asked][data-seen=""] .reply');
        }
        self::assertNotSame($first, $asked(), 'the next comes when both have their answer');
        $browser->until('return Object.keys(localStorage).every(key => !key.startsWith("destino.outbox"))');
    }

    public function test_hatchlings_in_a_row_are_sexed_weighed_and_named_by_their_look(): void
    {
        $browser = $this->identified('Stoker', 7)->visit('/clutches/7/first')->until('return navigator.serviceWorker.controller !== null');
        $browser->visit('/clutches/7/first');
        $open = fn (): string => (string) $browser->find('.first-one[open]')->getAttribute('data-about');
        $browser->script('for (const one of document.querySelectorAll(".first-one")) one.open = one.dataset.about === "Stoker"');
        $this->hang();
        $browser->visit('/clutches/7/first'); // the page itself opens without a connection
        $browser->until('return document.querySelector("[data-with-script]:not([hidden])") !== null');
        $browser->script('for (const one of document.querySelectorAll(".first-one")) one.open = one.dataset.about === "Stoker"');
        self::assertSame('Stoker', $open());
        $browser->click('.first-one[open] button[value=female]');
        $browser->type('.first-one[open] [data-grams]', '61'."\n");
        $browser->waitFor('.first-one[open] summary', 'female · 61 g');
        $look = (string) $browser->find('.first-one[open] [name=look]')->getAttribute('value');
        $browser->click('.first-one[open] [name=look]')->waitFor('[data-outbox-says]', '3 entries waiting on this device');
        $this->hang(false);
        $browser->waitFor('[data-outbox-says]', '3 waiting entries sent.');
        $browser->visit('/clutches/7/first')->waitFor('.first-day', "female · 61 g · {$look}");
        self::assertSame(390, (int) $browser->script('return document.documentElement.scrollWidth'));
    }

    public function test_a_hatchling_is_added_without_a_connection_and_once(): void
    {
        $browser = $this->browser()->visit('/clutches/8');
        $browser->script('for (const one of document.querySelectorAll("details")) one.open = true');
        $before = (string) $browser->find('#name')->getDomProperty('value');
        $browser->cut()->type('#name', 'Rigger')->click('#hatchling-form button[type=submit]');
        $browser->waitFor('[data-outbox-says]', '1 entry waiting on this device');
        self::assertSame($before, $browser->find('#name')->getDomProperty('value'), 'what waits is not sent twice');
        $browser->cut(false);
        $browser->waitFor('[data-outbox-says]', '1 waiting entry sent.');
        $browser->visit('/animals?find=Rigger');
        self::assertSame(1, $browser->script('return new Set([...document.querySelectorAll("main a")]
            .filter(one => one.textContent.includes("Rigger") && /animals\\/\\d+$/.test(one.href)).map(one => one.href)).size'));
    }

    public function test_one_photograph_of_the_box_gives_each_hatchling_its_picture(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'destino-').'.png';
        $image = imagecreatetruecolor(600, 400);
        imagefilledrectangle($image, 0, 0, 299, 399, (int) imagecolorallocate($image, 200, 40, 40));
        imagepng($image, $file);
        $browser = $this->browser()->visit('/clutches/8/box');
        $browser->find('#photo')->sendKeys($file);
        $browser->until('return document.querySelector("[data-picture]").naturalWidth === 600');
        $tap = 'const at = document.querySelector("[data-picture]"), box = at.getBoundingClientRect();
            at.dispatchEvent(new MouseEvent("click", { clientX: box.left + arguments[0] * box.width, clientY: box.top + box.height / 2, bubbles: true }))';
        $browser->waitFor('[data-now]', 'Tap the head of Dinghy.')->script($tap, .25);
        $browser->waitFor('[data-now]', 'Tap the head of Ebb.')->script($tap, .75);
        $browser->waitFor('.box-photo', '2');
        self::assertCount($marks = 2, array_slice($browser->all('.box-mark'), 0, $marks));
        $browser->click('.box-photo button[type=submit]')->waitFor('.said', 'The photograph is saved with 2 hatchlings.');
        $browser->waitFor('main', 'Photographs at');
        $browser->until('return [...document.querySelectorAll("#photographs img")].every(one => one.complete && one.naturalWidth === one.naturalHeight)');
        unlink($file);
    }

    public function test_answers_without_a_connection_wait_and_are_sent(): void
    {
        $browser = $this->identified('Bosun', 7);
        $page = $browser->driver->getCurrentURL();
        $browser->cut();
        $browser->click('[data-question]:not([hidden]) .reply')->waitFor('[data-outbox-says]', '1 entry waiting on this device');
        $browser->click('[data-question]:not([hidden]) .reply')->waitFor('[data-outbox-says]', '2 entries waiting on this device');
        $browser->cut(false);
        $browser->waitFor('[data-outbox-says]', '2 waiting entries sent.');
        $browser->driver->get($page);
        $browser->until('return document.querySelectorAll("[data-question]:not([hidden])").length === 1');
        self::assertGreaterThanOrEqual(2, (int) $browser->script('return document.querySelectorAll("[data-seen]:not([data-seen=\'\'])").length'));
    }

    public function test_a_question_and_its_pictures_open_without_a_connection(): void
    {
        $browser = $this->identified('Coxswain', 7);
        $page = $browser->driver->getCurrentURL();
        $browser->until('return navigator.serviceWorker.controller !== null');
        $isDrawn = 'const all = [...document.querySelectorAll("[data-question]:not([hidden]) img")];
            return all.length > 1 && all[0].complete && all[0].naturalWidth > 0';
        $first = fn (): string => $browser->find('[data-question]:not([hidden])')->getAttribute('data-question') ?? '';
        $browser->driver->get($page);
        $browser->until($isDrawn);
        $before = $first();
        $this->hang();
        $browser->driver->get($page);
        $browser->until($isDrawn);
        self::assertSame($before, $first());
    }

    public function test_pages_of_the_snake_room_open_without_a_connection(): void
    {
        $browser = $this->browser()->visit('/today');
        $browser->until('return navigator.serviceWorker.controller !== null');
        $browser->visit('/today')->waitFor('h1', 'Today');
        $this->hang();
        $browser->driver->get($this->address().'/today');
        $browser->waitFor('h1', 'Today');
        self::assertStringContainsString('Estuary', $browser->text());
    }

    public function test_what_was_not_kept_stays_with_its_reason_and_is_given_to_another_or_discarded(): void
    {
        $browser = $this->browser()->visit('/round/weight')->until('return document.querySelector("[data-without-script]").hidden');
        $name = $browser->text('[data-row="13"] strong');
        $this->send('DELETE', '/records/animal/13');
        $this->weigh(13, '777')->waitFor($this->said(13), "{$name} is not in the collection any more.");
        $browser->visit('/today')->waitFor('[data-outbox-refused]', "{$name}, 777 g. Not saved: {$name} is not in the collection any more.");
        self::assertSame(390, $browser->script('return document.documentElement.scrollWidth'));
        $this->button('Another animal');
        $browser->type('[data-outbox-refused] input', 'Brightwater');
        $browser->until('return document.querySelector("[data-outbox-refused] option") !== null');
        $this->button('Save');
        $browser->until('return document.querySelector("[data-outbox]").hidden');
        self::assertStringContainsString('777 g', $browser->visit('/animals/2')->text('#care'));

        $browser->visit('/round/weight')->until('return document.querySelector("[data-without-script]").hidden');
        $browser->script('const row = document.querySelector("[data-row]"); row.dataset.row = "13"; row.querySelector("input").name = "rows[13]"');
        $browser->script('const input = document.querySelector("[data-row] input"); input.value = "555"; input.dispatchEvent(new Event("change"))');
        $browser->waitFor('[data-outbox-refused]', "{$name}, 555 g. Not saved");
        $this->button('Discard');
        $browser->until('return document.querySelector("[data-outbox]").hidden');
        $this->send('POST', '/records/animal/13/restore');
        self::assertStringNotContainsString('777 g', $browser->visit('/animals/13')->text('#care'));
    }

    public function test_what_was_logged_and_removed_elsewhere_is_told_and_comes_back_with_a_tap(): void
    {
        $browser = $this->browser()->visit('/round/feed')->until('return document.querySelector("[data-without-script]").hidden');
        $row = '[data-row]:has(input[name="rows[14]"])';
        $browser->click("{$row} input[value=\"refused\"] + span")->waitFor("{$row} [data-said]", 'kept');
        $browser->script('
            document.body.dataset.entry = ""
            fetch("/animals/14").then(one => one.text()).then(page => { document.body.dataset.entry = /\\/records\\/care\\/(\\d+)/.exec(page)[1] })');
        $browser->until('return document.body.dataset.entry !== ""');
        $this->send('DELETE', '/records/care/'.$browser->script('return document.body.dataset.entry'));
        $browser->click("{$row} input[value=\"taken\"] + span")->waitFor("{$row} [data-said]", 'was saved from this form before and removed since.');
        $this->button('Bring it back');
        $browser->until('return document.querySelector("[data-outbox]").hidden');
        self::assertStringContainsString('refused', $browser->visit('/animals/14')->text('#care'));
    }

    public function test_what_waits_and_what_is_kept_of_pages_is_of_one_person(): void
    {
        $browser = $this->browser()->visit('/today')->until('return navigator.serviceWorker.controller !== null');
        $browser->visit('/today')->waitFor('h1', 'Today');
        $browser->cut();
        $this->tap($this->row('Estuary'), 'separated');
        $browser->waitFor('[data-outbox-says]', '1 entry waiting');
        // Another person signs in: the page comes with another mark.
        $browser->script('
            const mark = document.querySelector("[data-outbox]").dataset.owner
            localStorage.setItem("destino.outbox.another", localStorage.getItem("destino.outbox." + mark))
            localStorage.removeItem("destino.outbox." + mark)
            navigator.serviceWorker.controller.postMessage({ owner: "another" })');
        $browser->until('return caches.keys().then(names => names.every(name => !name.startsWith("destino-pages")))');
        $this->hang();
        $browser->driver->get($this->address().'/today');
        $browser->waitFor('body', 'No connection, and this page was not opened on this device before.');
        $this->hang(false);
        $browser->cut(false);
        $browser->visit('/today')->waitFor('[data-outbox-says]', '1 entry of another person waiting on this device');
        self::assertStringNotContainsString('separated', $browser->text('[data-outbox]'));
        self::assertNotNull($browser->script('return localStorage.getItem("destino.outbox.another")'));
    }

    /** What another window does meanwhile. */
    private function send(string $method, string $address): void
    {
        $this->browser()->driver->manage()->timeouts()->setScriptTimeout(10);
        $status = $this->browser()->driver->executeAsyncScript('
            const [method, address, done] = arguments
            const token = document.querySelector("[name=_token]").value
            fetch(address, { method: "POST", body: new URLSearchParams({ _token: token, _method: method }), redirect: "manual" }).then(one => done(one.type))',
            [$method, $address],
        );
        self::assertSame('opaqueredirect', $status);
    }

    /** A button of what was not kept. */
    private function button(string $words): void
    {
        foreach ($this->browser()->all('[data-outbox-refused] button') as $button) {
            if ($button->getText() === $words) {
                $this->browser()->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" }); arguments[0].click()', $button);

                return;
            }
        }
        self::fail("There is no button “{$words}” in: ".$this->browser()->text('[data-outbox]'));
    }

    public function test_a_feeding_round_keeps_each_tap_and_a_second_one_clears_it(): void
    {
        $browser = $this->browser()->visit('/round/feed');
        $browser->until('return document.querySelector("[data-all]").hidden === false');
        $row = '[data-row]:has(input[name="rows[9]"])';
        $browser->click("{$row} input[value=\"taken\"] + span")->waitFor("{$row} [data-said]", 'kept');
        $browser->click("{$row} input[value=\"taken\"] + span")->waitFor("{$row} [data-said]", 'taken back');
        self::assertFalse($browser->find("{$row} input[value=\"taken\"]")->isSelected());
        $browser->click("{$row} input[value=\"refused\"] + span")->waitFor("{$row} [data-said]", 'kept');
        $browser->click('[data-rack]:first-of-type [data-all]');
        $browser->until(
            'return [...document.querySelectorAll("[data-rack]:first-of-type [data-row]")].every(row => /kept/.test(row.textContent))',
        );
        $browser->visit('/animals/9');
        self::assertSame(1, substr_count($browser->text('#care'), 'refused'));
        self::assertStringNotContainsString('fed, taken', $browser->text('#care'));
        self::assertSame(390, $browser->visit('/round/feed')->script('return document.documentElement.scrollWidth'));
    }

    public function test_a_weighing_round_asks_once_and_survives_a_cut(): void
    {
        $browser = $this->browser()->visit('/round/weight');
        $browser->until('return document.querySelector("[data-without-script]").hidden');
        $set = fn (int $id, string $grams): Browser => $this->weigh($id, $grams);
        $set(1, '1500')->waitFor($this->said(1), 'kept');
        $browser->visit('/round/weight')->until('return document.querySelector("[data-without-script]").hidden');
        $set(1, '700')->waitFor($this->said(1), '700 g after 1,500 g');
        $set(1, '1490')->waitFor($this->said(1), 'kept');
        $set(1, 'heavy')->waitFor($this->said(1), 'The weight must be a whole number');
        $browser->type('#round-find', 'bright');
        self::assertSame(
            ['Brightwater'],
            $browser->script(
                'return [...document.querySelectorAll("[data-row]")].filter(row => row.offsetParent).map(row => row.querySelector("strong").textContent)',
            ),
        );
        $browser->cut();
        $set(2, '1800')->waitFor($this->said(2), 'waiting on this device');
        $browser->cut(false);
        $browser->waitFor('[data-outbox-says]', '1 waiting entry sent.');
        self::assertStringContainsString('1,800 g', $browser->visit('/animals/2')->text('#care'));
        self::assertStringNotContainsString('700 g', str_replace('1,700 g', '', $browser->visit('/animals/1')->text('#care')));
    }

    private function weigh(int $id, string $grams): Browser
    {
        $browser = $this->browser()->type("#row-{$id}", $grams);
        $browser->script("document.getElementById('row-{$id}').blur()");

        return $browser;
    }

    private function said(int $id): string
    {
        return "[data-row=\"{$id}\"] [data-said]";
    }

    public function test_an_egg_is_dragged_and_logged(): void
    {
        $browser = $this->browser()->visit('/clutches/10/eggs')->click('.empty button.main');
        $browser->waitFor('.said', '6 eggs lie in the box');
        $browser->until('return document.querySelector(".egg-tray.is-movable") !== null');
        $egg = $browser->all('.egg-tray [data-egg]')[0];
        $browser->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" })', $egg);
        $before = $egg->getAttribute('transform');
        $browser->driver->action()->clickAndHold($egg)->moveByOffset(60, 70)->release()->perform();
        $browser->until('return document.querySelector("[data-module=egg-tray] [data-said]").textContent !== ""');
        self::assertSame(
            'Its place is kept.', $browser->script('return document.querySelector("[data-module=egg-tray] [data-said]").textContent'),
        );
        $browser->visit('/clutches/10/eggs');
        self::assertNotSame($before, $browser->all('.egg-tray [data-egg]')[0]->getAttribute('transform'));
        $browser->click('#egg li:nth-child(2) a')->waitFor('#egg h2', 'Egg 2');
        $this->tap($browser->find('#egg'), 'mould');
        $browser->waitFor('.said', 'mould, egg 2');
        self::assertStringContainsString('mould', $browser->text('#egg'));
        self::assertSame(390, $browser->script('return document.documentElement.scrollWidth'));
    }

    public function test_a_season_is_played_from_the_pairing_to_the_young_that_is_sold(): void
    {
        $browser = $this->browser()->visit('/pair?sire_id=10&dam_id=11&target=Ultramel');
        $browser->visit('/clutches/create?sire_id=9&dam_id=10&target=Ultramel')->click('form button.main');
        $browser->waitFor('.said', 'added.');
        $clutch = (string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH);
        foreach (['paired', 'locked', 'ovulation', 'pre-lay shed'] as $what) {
            $browser->visit('/today');
            $this->tap($this->row('Jetty'), $what);
            $browser->waitFor('.said', "Jetty: {$what}");
        }
        $browser->visit('/today');
        $row = $this->row('Jetty');
        $summary = $row->findElement(WebDriverBy::cssSelector('.tap-more summary'));
        $browser->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" })', $summary);
        $summary->click();
        $row->findElement(WebDriverBy::cssSelector('[name=count]'))->sendKeys('3');
        $this->tap($row, 'laid');
        $browser->waitFor('.said', 'laid, 3 good');
        $browser->visit("{$clutch}/eggs")->click('.empty button.main')->waitFor('.said', '3 eggs lie');
        foreach ([0 => 'discarded', 1 => 'pipped', 2 => 'out of the egg'] as $at => $what) {
            $browser->visit("{$clutch}/eggs");
            $browser->driver->get((string) $browser->all('#egg li a')[$at]->getAttribute('href'));
            $this->tap($browser->find('#egg'), $what);
            $browser->waitFor('.said', $what);
        }
        $browser->click('#egg a.button')->waitFor('main', 'Chances in the remaining');
        $browser->type('#name', 'Jib')->click('#hatchling-form button[type=submit]');
        $browser->waitFor('.said', 'Jib is in the collection');
        foreach (['shed', 'fed'] as $what) { // the first shed and the first meal, two taps from anywhere
            $browser->visit('/today');
            $rows = array_filter($browser->all('li.row-flow'), fn (RemoteWebElement $row): bool => str_contains($row->getText(), 'Jib'));
            $this->tap(array_values($rows)[0], $what);
            $browser->waitFor('.said', "Jib: {$what}");
        }
        $browser->visit('/young?season='.date('Y'));
        self::assertStringContainsString('Jib', $browser->text());
        $browser->visit('/animals?find=Jib')->click('.cards a, table a');
        $browser->click('#sale summary')->type('#sale-price', '250')->type('#buyer', 'A. Keeper');
        $browser->click('#sale-status option[value=sold]')->click('#sale [name=unsexed]')->click('#sale button[type=submit]');
        $browser->waitFor('.said', 'Jib is sold');
        self::assertStringContainsString('€ 250', $browser->visit('/money')->text());
    }
}
