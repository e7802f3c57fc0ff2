<?php

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\LongNamesSeeder;
use Tests\Browser\Support\Server;

/** The longest names break where they stand, at the desk and on a phone. */
class LongNamesTest extends TestCase
{
    private static Server $server;

    private static Browser $browser;

    public static function setUpBeforeClass(): void
    {
        self::$server = Server::start(demo: true, plans: .01);
        self::$server->run('db:seed', '--class='.LongNamesSeeder::class, '--force', '--quiet');
        self::$browser = Browser::start(self::$server->address);
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser->quit();
        self::$server->stop();
    }

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        foreach ([
            '/today', '/animals', '/animals?view=list', '/animals?view=rack', '/animals/3', '/animals/25', '/animals/17/history',
            '/pair?sire_id=7&dam_id=3&target=Genetic+Stripe', '/pair', '/clutches', '/clutches/4', '/clutches/4/edit', '/season',
            '/projects', '/projects/1', '/projects/1/story', '/projects/2/edit', '/prove', '/prove/3', '/prove/3/genetic-stripe',
            '/money', '/young?season=2026', '/round/weight', '/clutches/8/bench', '/clutches/8/identify', '/clutches/8/identify/28?beside=29', '/clutches/8/first', '/clutches/8/box', '/clutches/7/story', '/animals/28/surer', '/clutches/9/eggs', '/incubators', '/luck',
        ] as $page) {
            yield $page => [$page];
        }
    }

    #[DataProvider('pages')]
    public function test_nothing_stands_out(string $page): void
    {
        foreach ([[1280, 800], [390, 844]] as [$width, $height]) {
            self::$browser->size($width, $height);
            if ($width === 1280) { // on a phone it is the same page
                self::$browser->visit($page);
                self::$browser->script('document.querySelectorAll("details").forEach(one => { one.open = true })');
            }
            $this->assertSame([], self::$browser->standingOut(), "{$width} wide");
        }
    }
}
