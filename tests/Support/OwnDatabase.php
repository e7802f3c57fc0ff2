<?php

namespace Tests\Support;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** For tests of several connections at once: a database of their own, migrated, of the kind that the tests run on. */
trait OwnDatabase
{
    private string $folder;

    private string $database;

    private bool $isOnServer;

    private function makeDatabase(): void
    {
        $this->folder = sys_get_temp_dir().'/destino-own-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        $this->isOnServer = getenv('DESTINO_TEST_DATABASE') === 'pgsql';
        $this->database = $this->isOnServer ? 'destino_own_'.bin2hex(random_bytes(6)) : "{$this->folder}/own.sqlite";
        $this->isOnServer ? $this->onServer('createdb', $this->database)->mustRun() : touch($this->database);
        $this->command('migrate', '--force')->mustRun();
        $this->useDatabase();
    }

    private function useDatabase(): void
    {
        $name = $this->isOnServer ? 'pgsql' : 'sqlite';
        config(['database.default' => $name, "database.connections.{$name}.database" => $this->database]);
        // As another process has it.
        config(['database.connections.other' => config("database.connections.{$name}")]);
        DB::purge();
        DB::purge('other');
    }

    private function dropDatabase(): void
    {
        DB::purge();
        DB::purge('other');
        $this->isOnServer && $this->onServer('dropdb', '--force', $this->database)->run();
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    /** @return array<string, string> */
    private function env(): array
    {
        return [
            'DB_CONNECTION' => $this->isOnServer ? 'pgsql' : 'sqlite', 'DB_DATABASE' => $this->database, 'CACHE_STORE' => 'array',
            'DB_HOST' => (string) getenv('DESTINO_TEST_HOST'), 'DB_USERNAME' => 'destino', 'DESTINO_COLLECTION' => 'own',
            'DESTINO_BACKUPS' => "{$this->folder}/backups", 'PGOPTIONS' => '-c lock_timeout=15000', 'APP_ENV' => 'testing',
        ];
    }

    private function command(string ...$arguments): Process
    {
        return new Process([PHP_BINARY, base_path('artisan'), ...$arguments], base_path(), $this->env(), timeout: 120);
    }

    private function onServer(string $program, string ...$arguments): Process
    {
        return new Process([$program, '-h', (string) getenv('DESTINO_TEST_HOST'), '-U', 'destino', ...$arguments]);
    }
}
