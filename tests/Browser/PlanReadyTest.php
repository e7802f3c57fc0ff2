<?php

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\Server;

/** A plan with a worker: it comes in its place when it is made, unless the keeper is in the middle of something. */
class PlanReadyTest extends TestCase
{
    private static Server $server;

    private static Browser $browser;

    public static function setUpBeforeClass(): void
    {
        self::$server = Server::start(demo: true);
        self::$browser = Browser::start(self::$server->address);
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser->quit();
        self::$server->stop();
    }

    public function test_a_plan_that_is_ready_comes_in_its_place_and_what_was_said_stays(): void
    {
        $this->planAgain();
        self::$browser->script('document.querySelector(".said").dataset.mine = "1"');
        $this->work();
        self::$browser->waitFor('#main', 'Ways compared');
        $this->assertSame([], self::$browser->all('[data-module="plan-progress"]'));
        $this->assertSame('1', self::$browser->script('return document.querySelector(".said").dataset.mine'), 'the page was not loaded again');
    }

    public function test_what_is_being_typed_is_not_taken_away(): void
    {
        $this->planAgain();
        self::$browser->script('document.querySelectorAll("details").forEach(one => { one.open = true });
            const field = [...document.querySelectorAll("#main :is(input:not([type=hidden]), select, textarea)")].pop();
            field.dataset.mine = "1"; field.dispatchEvent(new Event("input", { bubbles: true }))');
        $this->work();
        self::$browser->waitFor('[data-module="plan-progress"]', 'The plan is ready');
        $this->assertSame(1, self::$browser->script('return document.querySelectorAll("[data-mine]").length'), 'what was begun is still there');
        self::$browser->script('[...document.querySelectorAll("[data-module=plan-progress] a")].pop().click()');
        self::$browser->waitFor('#main', 'Ways compared');
    }

    private function planAgain(): void
    {
        self::$browser->visit('/projects/1');
        self::$browser->script('document.querySelector("form[action$=\'/plan\']").requestSubmit()');
        self::$browser->waitFor('[data-module="plan-progress"]', 'being calculated');
    }

    private function work(): void
    {
        self::$server->run('queue:work', '--stop-when-empty', '--quiet', '--queue=quick,default,plans,later');
    }
}
