<?php

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

class MainPathTest extends BrowserTestCase
{
    public function test_from_two_snakes_of_the_collection_to_true_odds(): void
    {
        $browser = $this->browser()->visit('/')->waitFor('h1', 'Today')->visit('/pair');
        $browser->click('#sire_id option[data-genotype="Mojave/Mystic het Ultramel"]');
        $browser->waitFor('#sire-reading', 'Mojave/Mystic');
        $browser->click('#dam_id option[data-genotype="Mystic 39% het Ultramel"]');
        $browser->type('#target', 'Ultramel + Mojave/Mystic')->click('.ask button');

        // Of Mooring's 2/3, four young without Ultramel leave 81/209; in six eggs 81/209·(1 − (15/16)⁶) = 0.1244.
        $browser->waitFor('.answer', 'Ultramel + Mojave/Mystic: about 1 in 41 per egg');
        $browser->click('#answer .exact summary')->waitFor('#answer .exact', '81/3344');
        foreach (['Lantern', 'Mooring', 'wanted Ultramel + Mojave/Mystic'] as $asked) {
            self::assertStringContainsString($asked, $browser->text('#ask summary'));
        }
        self::assertStringContainsString('12 %', $browser->text('[data-rung="6"]'));
        self::assertCount(4, $browser->all('.rungs li'));
        self::assertGreaterThan(0, count($browser->all('.tray.wide .scute.is-hit')));
    }

    public function test_from_a_wish_to_the_target_of_a_project_by_clicks(): void
    {
        $browser = $this->browser()->visit('/genes/design')->click('.empty a');
        $browser->waitFor('.proposals', 'more contrast');
        $target = 'Ultramel '.str_replace(' + ', ' ', $browser->text('.proposals li:first-child strong'));
        foreach ($browser->all('.proposals li:first-child a.button') as $button) {
            if ($button->getText() === 'Make it a project') {
                $button->click();

                break;
            }
        }
        $browser->until('return document.querySelector("#target") !== null');
        self::assertSame($target, $browser->find('#target')->getAttribute('value'));
    }

    public function test_pointing_at_a_cue_lifts_its_place_on_the_drawing(): void
    {
        $browser = $this->browser()->visit('/genes/yellow-belly');
        $browser->until('return document.querySelector("[data-lift][tabindex]") !== null');
        $browser->script('document.querySelector("[data-lift=\\"belly-edge\\"]").focus()');
        self::assertGreaterThan(0, count($browser->all('svg.skin .lift')));
        $browser->script('document.activeElement.blur()');
        self::assertSame([], $browser->all('svg.skin .lift'));
    }

    public function test_on_a_phone_five_places_lead_everywhere(): void
    {
        $browser = $this->browser()->size(390, 844)->visit('/animals');
        $shown = $browser->script(
            'return [...document.querySelectorAll(".rail > .station, .rail > details > summary")].filter(e => e.offsetParent !== null).map(e => parseFloat(getComputedStyle(e).fontSize))',
        );
        self::assertIsArray($shown);
        self::assertCount(5, $shown);
        self::assertGreaterThanOrEqual(11, min($shown));
        $browser->click('.station-more summary')->click('.more-sheet a[href$="/genes"]');
        $browser->waitFor('h1', 'Genes');
    }

    public function test_the_ladder_moves_and_the_rows_sort_and_filter(): void
    {
        $browser = $this->browser()->visit('/pair?sire=Pastel+het+Clown&dam=Mojave+het+Clown&target=Clown&by=genotype');
        $browser->waitFor('[data-slider]', 'Move for more');
        $browser->script("const s = document.querySelector('#ladder-eggs'); s.value = 11; s.dispatchEvent(new Event('input'))");
        self::assertTrue($browser->find('[data-rung="11"]')->isDisplayed());
        self::assertFalse($browser->find('[data-rung="6"]')->isDisplayed());
        self::assertSame('11', $browser->find('#eggs')->getAttribute('value'));

        $browser->type('#filter', 'mojave het');
        $browser->waitFor('[data-count]', '2 of the 12 rows');
        $browser->find('#filter')->clear();
        $browser->find('#filter')->sendKeys(' ');
        $browser->click('table.list th[data-sort] button');
        self::assertStringStartsWith('Clown', $browser->text('table.list tbody tr:first-child td'));
        $browser->click('table.list th[data-sort] button');
        self::assertStringStartsWith('Pastel Mojave het Clown', $browser->text('table.list tbody tr:first-child td'));
        self::assertSame('descending', $browser->find('table.list th')->getAttribute('aria-sort'));
    }

    public function test_typing_is_read_live_and_a_suggestion_mends_it(): void
    {
        $browser = $this->browser()->visit('/pair')->type('#sire', 'Enchi Pastle');
        $browser->waitFor('#sire-reading', 'is not a known gene');
        $browser->click('#sire-reading .offer');
        self::assertSame('Enchi Pastel', $browser->find('#sire')->getAttribute('value'));
        $browser->waitFor('#sire-reading .named-bead:last-child', 'Enchi');
        self::assertStringNotContainsString('not a known name', $browser->text('#sire-reading'));
    }

    public function test_the_answer_follows_while_a_pairing_is_typed(): void
    {
        $browser = $this->browser()->visit('/pair');
        $browser->type('#sire', 'Pastel het Clown')->type('#dam', 'het Clown');
        $browser->waitFor('#answer', '4 looks are possible');
        $browser->type('#target', 'Clown or Pastel')->waitFor('#answer', 'Clown or Pastel: 5 in 8 per egg');
        self::assertSame('target', $browser->script('return document.activeElement.id'), 'whoever types goes on typing');
        self::assertStringContainsString('target=Clown', $browser->driver->getCurrentURL());
        self::assertSame(1, count($browser->all('header .actions a[href*="outcomes.csv"]')));
        $browser->type('#target', 'Clwn')->until('return document.querySelector("#answer").dataset.old !== undefined');
        $browser->type('#target', 'Clown')->waitFor('#answer', 'Clown: 1 in 4 per egg');
        $browser->until('return document.querySelector("#answer").dataset.old === undefined');
        $browser->click('.ask button')->waitFor('#ask summary', 'wanted Clown');
        $browser->visit('/pair');
        self::assertStringNotContainsString('Clown or Pastel', $browser->text(), 'what was typed past was not looked at');
    }

    public function test_an_animal_is_added_and_paired(): void
    {
        $browser = $this->browser()->visit('/animals/create');
        $browser->type('#name', 'Zephyr <3')->click('input[value="male"]')->type('#genotype', 'Banana (male maker) Pastle');
        $browser->click('form button[type="submit"]');
        $browser->waitFor('.field-error', 'Pastle');
        self::assertSame('Zephyr <3', $browser->find('#name')->getAttribute('value'));
        $browser->type('#genotype', 'Banana (male maker) Pastel')->click('form button[type="submit"]');
        $browser->waitFor('h1', 'Zephyr <3');
        $browser->click('.top .button.main');
        $browser->waitFor('#sire-reading', 'Banana');
        $browser->type('#dam', 'Normal')->click('.ask button');
        $browser->waitFor('.answer', '8 looks are possible');
    }

    public function test_the_tray_is_cut_anew_when_a_choice_changes(): void
    {
        $browser = $this->browser()->visit('/pair?sire=Mojave+Pastel&dam=Mystic');
        $browser->waitFor('#tray-title', 'What can hatch');
        self::assertCount(8, $browser->all('.tray.wide .scute'));
        $browser->waitFor('th[data-sort] button', 'Outcome'); // the modules are there
        $browser->click('input[name="alike"]');
        $browser->waitFor('table.list', 'Mojave or Mystic');
        self::assertCount(6, $browser->all('.tray.wide .scute'));
        $browser->click('select[name="by"] option[value="genotype"]');
        $browser->waitFor('.answer', 'genotypes are possible');
        self::assertCount(8, $browser->all('.tray.wide .scute'));
    }

    public function test_a_choice_made_before_the_scripts_arrive_is_sent(): void
    {
        $script = 'const form = document.createElement("form"); let sent = 0;
            form.innerHTML = "<select><option selected>look</option><option>genotype</option></select>";
            document.body.append(form); form.requestSubmit = () => sent++; form.querySelector("select").value = arguments[0];
            return import("/js/modules/autosend.js").then(module => { module.enhance(form); return sent })';
        $browser = $this->browser()->visit('/pair');
        self::assertSame(1, $browser->script($script, 'genotype'));
        self::assertSame(0, $browser->script($script, 'look'), 'nothing was chosen');
    }

    public function test_a_module_that_hangs_or_throws_holds_no_other_back(): void
    {
        $script = 'const done = []; const root = name => { const one = document.createElement("p"); one.dataset.module = name; return one };
            const good = { enhance: one => done.push(one.dataset.module) };
            const load = name => ({ hangs: new Promise(() => {}), missing: Promise.reject(new Error("not there")),
                throws: Promise.resolve({ enhance: () => { throw new Error("broken") } }) })[name] ?? Promise.resolve(good);
            return import("/js/loader.js").then(async ({ enhanceAll }) => {
                const started = enhanceAll(["hangs", "missing", "throws", "first", "second"].map(root), load);
                await Promise.all(started.slice(1));
                return done.join(" ") })';
        self::assertSame('first second', $this->browser()->visit('/luck')->script($script));
    }

    public function test_no_old_reading_stands_under_a_new_text(): void
    {
        $browser = $this->browser()->visit('/pair');
        $browser->type('#sire', 'Pastel')->waitFor('#sire-reading', 'Pastel');
        // The server answers no more: what was read of the first text is out of sight with the first new letter, and then gone.
        $browser->script('window.fetch = () => new Promise((resolve, reject) => { window.refuse = () => reject(new Error("no answer")) })');
        $browser->find('#sire')->sendKeys(' C');
        self::assertSame('hidden', $browser->script('return getComputedStyle(document.querySelector("#sire-reading")).visibility'));
        $browser->until('return typeof window.refuse === "function"');
        $browser->script('window.refuse()');
        $browser->until('return document.querySelector("#sire-reading").childElementCount === 0');
        // A late answer about an earlier text is not shown under a later one.
        $browser->script(
            'window.answers = []; window.fetch = address => new Promise(resolve => window.answers.push(() => resolve(new '
                .'Response(JSON.stringify({ html: "<p>" + new URL(address).searchParams.get("text") + "</p>", errors: [] })))))',
        );
        $browser->find('#sire')->sendKeys('l');
        $browser->until('return window.answers.length === 1');
        $browser->find('#sire')->sendKeys('own');
        $browser->until('return window.answers.length === 2');
        $browser->script('window.answers[1](); window.answers[0]()');
        $browser->waitFor('#sire-reading', 'Pastel Clown');
    }

    public function test_a_school_is_chosen_beside_the_numbers_it_changes(): void
    {
        $browser = $this->browser()->visit('/pair?sire=Spider+Blackhead&dam=Normal&by=genotype');
        $browser->waitFor('.answer', '2 genotypes are possible');
        $browser->waitFor('th[data-sort] button', 'Outcome');
        $browser->script('for (const one of document.querySelectorAll("details.folded")) one.open = true');
        $browser->click('#school-spider-blackhead-allelism option[value="separate"]');
        $browser->waitFor('.answer', '4 genotypes are possible');
    }

    public function test_the_theme_is_chosen_and_remembered(): void
    {
        $browser = $this->browser()->visit('/luck');
        $theme = fn (): string => (string) $browser->script('return document.documentElement.dataset.bsTheme');
        $browser->waitFor('.station.push', 'Dark');
        self::assertSame('light', $theme());
        $browser->click('.station.push');
        self::assertSame('dark', $theme());
        $browser->visit('/genes');
        self::assertSame('dark', $theme());
        $browser->script("localStorage.removeItem('destino-theme')");
    }

    public function test_a_long_name_and_a_large_collection_keep_their_shape(): void
    {
        $browser = $this->browser()->visit('/animals/create');
        $browser->type('#name', str_repeat('Longestnamewithoutanyspace', 3))->click('input[value="female"]');
        $browser->type(
            '#genotype',
            'Pastel Enchi Mojave Fire Yellow Belly Spotnose Leopard Pinstripe het Clown het Piebald het Ultramel 50% het Albino',
        );
        $browser->click('form button[type="submit"]');
        $browser->waitFor('h1', 'Longestname');
        foreach (
            [
                $browser->driver->getCurrentURL(), str_replace('/animals/', '/prove/', $browser->driver->getCurrentURL()),
                '/prove', '/animals', '/pair',
            ] as $page
        ) {
            foreach ([1280, 390] as $width) {
                $browser->size($width, 844)->visit(str_replace($this->address(), '', $page));
                self::assertSame(0, $browser->script('return document.documentElement.scrollWidth - innerWidth'), "{$page} at {$width}");
            }
        }
    }

    public function test_three_taps_log_a_meal_on_a_phone(): void
    {
        $browser = $this->browser()->size(390, 844)->visit('/animals/21');
        $browser->waitFor('#care', 'Nothing logged yet.');
        $browser->driver->wait(30, 100)->until(fn (): bool => ! $browser->find('[data-for="feed"]')->isDisplayed());
        $browser->click('input[value="feed"] + span');
        $browser->driver->wait(30, 100)->until(fn (): bool => $browser->find('[data-for="feed"]')->isDisplayed());
        $browser->click('input[value="taken"] + span');
        $browser->click('.log-form button[type="submit"]');
        $browser->waitFor('.said', 'fed, taken');
        $browser->click('#care .quiet');
        $browser->waitFor('.said', 'Removed: fed, taken');
        $browser->click('.said button');
        $browser->waitFor('.said', 'Restored: fed, taken');
    }

    public function test_an_animal_is_dragged_to_another_tub(): void
    {
        $browser = $this->browser()->visit('/animals?view=rack');
        $browser->waitFor('.rack', 'Harbour');
        $browser->driver->wait(30, 100)->until(fn (): bool => $browser->find('.in-tub')->getAttribute('draggable') === 'true');
        $browser->script("
            const from = [...document.querySelectorAll('.in-tub')].find(tub => tub.textContent.includes('Cleat'))
            const to = [...document.querySelectorAll('[data-tub]')].find(tub => tub.dataset.tub.endsWith(':2:5'))
            const data = new DataTransfer()
            from.dispatchEvent(new DragEvent('dragstart', { bubbles: true, dataTransfer: data }))
            to.dispatchEvent(new DragEvent('dragover', { bubbles: true, cancelable: true, dataTransfer: data }))
            to.dispatchEvent(new DragEvent('drop', { bubbles: true, cancelable: true, dataTransfer: data }))");
        $browser->waitFor('[data-tub$=":2:5"]', 'Cleat');
    }

    public function test_a_list_is_looked_at_and_brought_in(): void
    {
        $list = sys_get_temp_dir().'/destino-list-'.bin2hex(random_bytes(4)).'.csv';
        file_put_contents($list, "Name,Sex,Morph\nBollard,m,Pastel het Clown\nCapstan,f,Pastle\n");
        $browser = $this->browser()->visit('/exchange');
        $browser->find('#file')->sendKeys($list);
        $browser->click('main form button[type="submit"]');
        $browser->waitFor('.answer', '2 of 2 rows can be brought in');
        self::assertStringContainsString('“Pastle” is not a known gene', $browser->text());
        $browser->click('main form button.main');
        $browser->waitFor('.answer', '2 animals brought in');
        $browser->click('form[action*="/imports/"] button')->waitFor('.answer', 'Import undone');
        unlink($list);
    }

    public function test_a_project_is_planned(): void
    {
        $browser = $this->browser()->visit('/projects/create');
        $browser->type('#name', 'Striped')->type('#target', 'Genetic Stripe + Calico');
        $browser->click('main form button[type="submit"]');
        $browser->waitFor('.answer', 'first estimate');
        self::assertGreaterThan(0, count($browser->all('.plan-curves polyline')));
        self::assertGreaterThan(0, count($browser->all('.river .is-target')));
    }

    public function test_what_cannot_be_is_decided_and_taken_back(): void
    {
        // Where the mark stands the explanations open, and there it is decided.
        $browser = $this->browser()->visit('/animals?view=list')->click('a[data-title="Zephyr"]');
        $browser->waitFor('dialog #puzzle-0', 'Tidemark carries Piebald');
        $browser->type('dialog #reason-0', 'Half her back is white.')->click('dialog #puzzle-0 button[type="submit"]');
        $browser->waitFor('.said', 'Decision saved');
        $browser->visit('/prove')->waitFor('main', 'What you decided');
        self::assertSame([], $browser->all('#puzzle-0'));
        $browser->visit('/animals/20');
        $browser->waitFor('#knowledge', 'Pinstripe het Piebald');
        $browser->visit('/prove')->click('button[aria-label^="remove Tidemark"]');
        $browser->waitFor('#puzzle-0', 'Zephyr');
    }

    public function test_a_female_is_proved_from_the_question_to_the_pairing(): void
    {
        $browser = $this->browser()->visit('/prove/3');
        $browser->waitFor('.waterfall', 'without it');
        $browser->click('section .button.slim');
        $browser->waitFor('.answer', 'Anchor gives the fastest test');
        self::assertSame(3, count($browser->all('.plan-curves polyline')));
        $browser->click('td[data-label="Mate"] a');
        $browser->waitFor('main', 'Anchor');
        self::assertStringContainsString('/pair?', $browser->driver->getCurrentURL());
    }

    public function test_a_pin_changes_the_ways(): void
    {
        $browser = $this->browser()->visit('/projects/create');
        $browser->type('#name', 'Pinned')->type('#target', 'Ultramel, male');
        $browser->click('main form button[type="submit"]');
        $browser->waitFor('#ways', 'single way')->click('#ways summary');
        $browser->waitFor('#route-0', 'Always use ');
        $name = substr($browser->find('#route-0 form[action$="/pin"] button')->getText(), 11);
        $browser->click('#route-0 form[action$="/pin"] button');
        $browser->waitFor('.said', 'Every way uses this animal');
        $browser->waitFor('main', "every way uses them\n{$name}");
    }

    public function test_it_works_without_scripts(): void
    {
        $browser = $this->browser()->withoutScripts()->visit('/pair?sire=Pastel&dam=het+Clown&target=Pastel');
        self::assertStringContainsString('Pastel: 1 in 2 per egg', $browser->text());
        self::assertStringContainsString('98.4 %', $browser->text('[data-rung="6"]'));
        $browser->click('#ask summary')->click('.ask button');
        $browser->waitFor('.answer', 'Pastel: 1 in 2 per egg');
        self::assertTrue($browser->find('[data-without-script]')->isDisplayed());
    }

    public function test_the_keyboard_alone_is_enough(): void
    {
        $browser = $this->browser()->visit('/pair');
        $browser->find('body')->sendKeys(WebDriverKeys::TAB);
        self::assertSame('Skip to the page', $browser->driver->switchTo()->activeElement()->getText());
        $browser->find('#sire')->sendKeys('Spider'.WebDriverKeys::TAB);
        $browser->find('#dam')->sendKeys('Spider');
        $browser->find('#eggs')->sendKeys(WebDriverKeys::ENTER);
        $browser->waitFor('.advice', 'Super Spider: 1 in 4 eggs.');
        $browser->waitFor('th[data-sort] button', 'Outcome'); // the modules are there
        $browser->script("document.querySelector('.tray.wide .scute').focus()");
        $browser->waitFor('[data-tray-reading]', '1/2 per egg');
    }

    public function test_a_gene_that_changes_with_age_is_seen_at_one_age_at_a_time(): void
    {
        $browser = $this->browser()->visit('/genes/banana')->until('return document.querySelector(".has-slider .ages-range") !== null');
        $seen = 'return [...document.querySelectorAll(".ages li")].filter(one => !one.hidden).map(one => one.dataset.at)';
        self::assertSame(['grown'], $browser->script($seen));
        $browser->script('const range = document.querySelector(".ages-range"); range.value = 0; range.dispatchEvent(new Event("input"))');
        self::assertSame(['hatchling'], $browser->script($seen));
        self::assertSame('hatchling', $browser->text('[data-age]'));
        self::assertSame([], $browser->visit('/genes/mojave')->all('.ages'), 'one that does not change has none');
    }
}
