<?php

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** What is done many times in a row takes few taps, or a key. */
class TapsTest extends BrowserTestCase
{
    public function test_a_round_of_the_trainer_is_played_with_keys_and_with_a_thumb(): void
    {
        $browser = $this->browser()->visit('/genes/train')->click('.trainer button.main');
        for ($question = 1; $question <= 10; $question++) { // half of it at the desk, half on a phone
            $isPhone = $question > 5;
            $isPhone && $browser->size(390, 844);
            $browser->waitFor('.trainer', "Question {$question} of 10");
            $isPhone ? $browser->click('[data-choice="2"]') : $browser->driver->getKeyboard()->sendKeys('1');
            $browser->until('return document.querySelector("[data-next]") !== null');
            self::assertMatchesRegularExpression('/Right:|No: it is/', $browser->text('.trainer .answer'));
            $isPhone ? $browser->click('[data-next]') : $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        }
        $browser->waitFor('.trainer', 'of 10 right.');
        self::assertStringContainsString('How you do', $browser->text());
    }

    public function test_from_lock_to_the_first_young_out_within_three_taps_each(): void
    {
        $browser = $this->browser()->size(390, 844);
        foreach (['locked' => 'ovulation', 'ovulation' => 'pre-lay shed', 'pre-lay shed' => 'Laid', 'laid' => 'Pipped', 'discarded' => 'Pipped', 'pipped' => 'Out of the egg', 'out of the egg' => ''] as $what => $next) {
            $browser->visit('/animals')->click('.rail > .station[href$="/today"]'); // one
            $browser->waitFor('h1', 'Today');
            foreach ($browser->all('.due > li') as $row) {
                $buttons = str_contains($row->getText(), 'Estuary')
                    ? $row->findElements(WebDriverBy::cssSelector('.taps button[name=kind]'))
                    : [];
                foreach ($buttons as $button) {
                    if (lcfirst(trim((string) $button->getDomProperty('textContent'))) === $what) {
                        $browser->open($button); // two, where it is folded
                        $browser->script('arguments[0].scrollIntoView({ block: "center", behavior: "instant" })', $button);
                        $button->click(); // two, or three

                        break 2;
                    }
                }
            }
            $browser->waitFor('.said', "Estuary: {$what}");
            self::assertSame('Undo', $browser->text('.said .button'));
            $next === '' ?: self::assertStringContainsString($next, $browser->text());
        }
        self::assertSame(390, $browser->script('return document.documentElement.scrollWidth'));
    }

    public function test_a_meal_is_one_tap_and_a_weight_two_on_the_page_of_an_animal(): void
    {
        $browser = $this->browser()->size(390, 844)->visit('/animals/8');
        $browser->click('.quick-log > form button')->waitFor('.said', 'taken');
        $browser->click('.said button')->waitFor('.said', 'Removed:');
        $browser->click('.quick-log summary');
        self::assertSame('grams', $browser->script('return document.activeElement.name'));
        $browser->driver->getKeyboard()->sendKeys('1555'.WebDriverKeys::ENTER);
        $browser->waitFor('.said', '1,555 g');
        $browser->click('.said button')->waitFor('.said', 'Removed:');
    }
}
