<?php

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\Server;

/** One server with the demo collection and one browser for all tests of a class. */
abstract class BrowserTestCase extends TestCase
{
    /** Share of the usual work that goes into whole plans of the demo before it starts; 0 makes none. */
    protected const PLANS = 0.0;

    private static ?Server $server = null;

    private static ?Browser $browser = null;

    public static function setUpBeforeClass(): void
    {
        self::$server = Server::start(demo: true, plans: static::PLANS);
        self::$browser = Browser::start(self::$server->address);
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser?->quit();
        self::$server?->stop();
        self::$browser = self::$server = null;
    }

    protected function setUp(): void
    {
        $this->browser()->withoutScripts(false)->size(1280, 800)->theme('light');
    }

    protected function browser(): Browser
    {
        self::assertNotNull(self::$browser);

        return self::$browser;
    }

    /** The server answers nobody, as behind a connection that hangs, or goes on. Cutting a page leaves its service worker a connection. */
    protected function hang(bool $hangs = true): void
    {
        self::assertNotNull(self::$server);
        posix_kill(self::$server->pid(), $hangs ? SIGSTOP : SIGCONT);
    }

    protected function address(): string
    {
        return self::$server->address ?? '';
    }
}
