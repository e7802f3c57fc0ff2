<?php

namespace Tests\Browser;

/** Where many animals are there, a parent is found by typing, and only what was found is sent. */
class ParentSearchTest extends BrowserTestCase
{
    public function test_a_parent_of_many_is_found_by_its_name_or_its_genes(): void
    {
        $browser = $this->browser()->visit('/animals/create');
        $browser->script(
            'window.made = 0;
            const token = document.querySelector(".stack input[name=_token], form input[name=_token]").value;
            (async () => {
                for (let i = 1; i <= 14; i++) {
                    const form = new URLSearchParams({
                        _token: token, name: `Barge ${i}`, sex: "male", sex_found: "popped", genotype: i === 14 ? "Banana" : "Normal",
                        said_by: "own", hatched_on: "2021-08",
                    });
                    await fetch("/animals", { method: "POST", body: form });
                    window.made = i;
                }
            })();',
        );
        foreach ([5, 10, 14] as $made) {
            $browser->until("return window.made >= {$made}");
        }
        $browser->visit('/pair')->until('return document.querySelector("#sire_id")?.tomselect !== undefined');
        self::assertSame(1, $browser->script('return document.querySelectorAll("#sire_id option").length'), 'nobody is sent beforehand');

        $browser->click('#sire_id + .ts-wrapper .ts-control');
        $browser->driver->getKeyboard()->sendKeys('Barge 14');
        $browser->until('return [...document.querySelectorAll(".ts-dropdown .option")].some((one) => one.textContent.includes("Barge 14"))');
        $browser->script('document.querySelector("#sire_id").tomselect.setValue([...document.querySelectorAll(".ts-dropdown .option")]'
            .'.find((one) => one.textContent.includes("Barge 14")).dataset.value)');
        $browser->waitFor('#sire-reading', 'Banana');
        self::assertSame('Banana', $browser->script('return document.querySelector("#sire").value'));

        $browser->type('#dam', 'Normal')->click('.ask button');
        $browser->waitFor('#ask summary', 'Barge 14');

        $browser->visit('/pair')->until('return document.querySelector("#sire_id")?.tomselect !== undefined');
        $browser->click('#sire_id + .ts-wrapper .ts-control');
        $browser->driver->getKeyboard()->sendKeys('banana');
        $browser->until('return [...document.querySelectorAll(".ts-dropdown .option")].some((one) => one.textContent.includes("Barge 14"))');
    }
}
