<?php

namespace Tests\Server;

use PDO;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\Server;

/** The whole stack of bin/destino server: nginx, php-fpm, PostgreSQL, Redis, workers. */
class FullStackTest extends TestCase
{
    private string $folder;

    private int $port;

    private Process $server;

    private int $animals = 0;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/destino-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        $this->port = Server::freePort();
        $this->server = $this->command('server');
        $this->server->start();
        $this->until(fn (): bool => str_contains($this->server->getOutput(), 'Destino is at') || ! $this->server->isRunning());
    }

    protected function tearDown(): void
    {
        $this->server->stop(30);
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    /** @param array<string, string> $env */
    private function command(string $command, array $env = [], string ...$arguments): Process
    {
        return new Process(['bash', 'bin/destino', $command, ...$arguments], dirname(__DIR__, 2), $env + [
            'DESTINO_SERVER' => $this->folder, 'DESTINO_PORT' => (string) $this->port, 'DESTINO_PLAN_EFFORT' => '0.05',
            'APP_KEY' => 'base64:AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA=', 'LOG_CHANNEL' => 'stderr',
            // What the tests themselves run on is not the server's.
            'DB_CONNECTION' => false, 'DB_DATABASE' => false, 'DB_HOST' => false, 'DB_USERNAME' => false, 'APP_ENV' => false,
            'QUEUE_CONNECTION' => false, 'CACHE_STORE' => false, 'SESSION_DRIVER' => false, 'DESTINO_COLLECTION' => false,
        ], timeout: 180);
    }

    private function until(callable $isSo): void
    {
        for ($try = 0; $try < 900 && ! $isSo(); $try++) {
            usleep(100_000);
        }
        self::assertTrue($isSo(), $this->server->getOutput().$this->server->getErrorOutput());
    }

    public function test_one_path_through_all_of_it(): void
    {
        $browser = Browser::start("http://127.0.0.1:{$this->port}");
        try {
            $browser->visit('/')->waitFor('h1', 'Create your account');
            $typed = ['password' => 'three wet ropes', 'password_confirmation' => 'three wet ropes'];
            foreach (['name' => 'Ada Mole', 'email' => 'ada@harbour.localhost'] + $typed as $field => $text) {
                $browser->type("[name={$field}]", $text);
            }
            $browser->click('form.stack button.main')->waitFor('.rail', 'Animals');
            // A collection of SQLite moves over as an archive.
            $this->movesFromSqlite();
            $browser->visit('/animals')->waitFor('main', 'Anchor');
            // A plan is made by a worker.
            $browser->visit('/projects/create')->type('[name=name]', 'First')->type('[name=target]', 'Clown');
            $browser->click('form.stack button.main')->waitFor('h1', 'First');
            $this->until(fn (): bool => $this->ask("select count(*) from plans where state = 'done'") === 1);
            $browser->visit('/projects/'.$this->ask("select project_id from plans where state = 'done'"))->waitFor('main', 'Plan again');
            self::assertStringNotContainsString('A first answer', $browser->text());
        } finally {
            $browser->quit();
        }
        $this->comesBackFromABackup();
        $this->endsWithItsParts();
    }

    private function movesFromSqlite(): void
    {
        $root = dirname(__DIR__, 2);
        $old = "{$this->folder}/old.sqlite";
        touch($old);
        $env = ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $old, 'CACHE_STORE' => 'array', 'DESTINO_COLLECTION' => 'demo'];
        foreach ([['migrate', '--force', '--quiet'], ['db:seed', '--class=DemoSeeder', '--force', '--quiet']] as $arguments) {
            (new Process([PHP_BINARY, 'artisan', ...$arguments], $root, $env, timeout: 120))->mustRun();
        }
        $this->command('export', $env, "--out={$this->folder}/all.zip")->mustRun();
        $this->command('server', [], 'import', "{$this->folder}/all.zip")->mustRun();
        [$before, $after] = [
            $this->command('export', $env)->mustRun()->getOutput(), $this->command('server', [], 'export')->mustRun()->getOutput(),
        ];
        $told = fn (string $json): array => array_diff_key((array) json_decode($json, true), ['written' => 1, 'exported_at' => 1]);
        $this->animals = count($told($before)['animals']);
        self::assertGreaterThan(20, $this->animals);
        $counts = fn (array $document): array => array_map(count(...), array_filter($document, is_array(...)));
        self::assertSame($counts($told($before)), $counts($told($after)));
        $names = fn (array $document): array => array_column($document['animals'], 'name');
        self::assertSame($names($told($before)), $names($told($after)));
    }

    private function comesBackFromABackup(): void
    {
        $said = $this->command('server', [], 'backup', '--json')->mustRun()->getOutput();
        $made = json_decode($said, true)['path'];
        $this->database()->exec('truncate animals cascade');
        $this->command('server', [], 'restore', $made)->mustRun();
        self::assertSame($this->animals, $this->ask('select count(*) from animals'));
    }

    /** Whatever part is killed, all of it ends, with a word and a code, so that whoever watches over it starts it again. */
    private function endsWithItsParts(): void
    {
        exec('pkill -KILL -f '.escapeshellarg("redis-server.*{$this->folder}"));
        $this->until(fn (): bool => ! $this->server->isRunning());
        self::assertSame(1, $this->server->getExitCode());
        self::assertStringContainsString('a part of the server has ended', $this->server->getErrorOutput());
        exec('pgrep -f '.escapeshellarg("[{$this->folder[0]}]".substr($this->folder, 1)), $left); // which does not find itself
        self::assertSame([], $left, 'nothing runs on');
    }

    private function ask(string $sql): int
    {
        return (int) $this->database()->query($sql)->fetchColumn();
    }

    private function database(): PDO
    {
        return new PDO("pgsql:host={$this->folder}/postgres/run;dbname=destino;user=destino");
    }
}
