<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** A collection in PostgreSQL: its own programs make the copies and put them back, each in one transaction. */
final readonly class PostgresServer implements Storehouse
{
    private const SECONDS = 1800;

    /** @param array<string, mixed> $connection as config/database.php has it */
    public function __construct(private array $connection) {}

    public function ending(): string
    {
        return 'dump';
    }

    public function copyTo(string $path): void
    {
        $dump = $this->process(['pg_dump', '--format=custom', '--no-owner', '--no-privileges', "--file={$path}", $this->database()]);
        if ($dump->run() !== 0) {
            throw BackupError::notWritten($path, self::words($dump));
        }
    }

    public function check(string $path, string $name): void
    {
        $list = $this->process(['pg_restore', '--list', $path]);
        if ($list->run() !== 0) {
            throw BackupError::damaged($name, self::words($list));
        }
        if (! str_contains($list->getOutput(), ' TABLE DATA public animals ')) {
            throw BackupError::damaged($name, 'it has no table of animals');
        }
    }

    public function replaceBy(string $path): void
    {
        DB::purge();
        $put = $this->process([
            'pg_restore', '--clean', '--if-exists', '--no-owner', '--no-privileges', '--single-transaction', '--exit-on-error',
            '--dbname='.$this->database(), $path,
        ]);
        if ($put->run() !== 0) {
            throw BackupError::notPutBack(self::words($put));
        }
    }

    /** @param list<string> $command */
    private function process(array $command): Process
    {
        return new Process($command, env: [
            'PGHOST' => (string) $this->connection['host'], 'PGPORT' => (string) $this->connection['port'],
            'PGUSER' => (string) $this->connection['username'], 'PGPASSWORD' => (string) $this->connection['password'],
        ], timeout: self::SECONDS);
    }

    private function database(): string
    {
        return (string) $this->connection['database'];
    }

    private static function words(Process $process): string
    {
        return mb_strimwidth(trim(strtok(mb_scrub($process->getErrorOutput()), "\n") ?: 'it gave no reason'), 0, 200, '…');
    }
}
