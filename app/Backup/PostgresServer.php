<?php

declare(strict_types=1);

namespace App\Backup;

use App\Database\OneWriter;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
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

    public function migrations(string $path, string $name): array
    {
        $rows = $this->process(['pg_restore', '--data-only', '--table=migrations', '--file=-', $path]);
        if ($rows->run() !== 0 || preg_match('/^COPY public\.migrations \(([^)]*)\) FROM stdin;\n(.*?)^\\\\\.$/ms', $rows->getOutput(),
            $found) !== 1) {
            throw BackupError::notOurs($name, $rows->isSuccessful() ? 'it has no migrations' : self::words($rows));
        }
        $at = (int) array_search('migration', array_map(trim(...), explode(',', $found[1])), true);

        $lines = array_filter(explode("\n", $found[2]), fn (string $line): bool => $line !== '');

        return array_map(fn (string $line): string => explode("\t", $line)[$at] ?? '', array_values($lines));
    }

    /** The session of this connection holds the turn of all writers: what it does itself goes on. */
    public function whileNobodyWrites(callable $do): mixed
    {
        try {
            DB::select('select pg_advisory_lock('.OneWriter::RESTORING.'), pg_advisory_lock('.OneWriter::LOCK.')');
        } catch (QueryException) {
            DB::purge();

            throw BackupError::busy();
        }
        try {
            return $do();
        } finally {
            DB::purge(); // and with the session its locks
        }
    }

    public function isBeingReplaced(): bool
    {
        try {
            $locks = DB::connection()->select(
                // The view lists the locks of the whole server, also those of other collections on it.
                'select 1 from pg_locks join pg_database on pg_database.oid = pg_locks.database and datname = current_database()'
                .' where locktype = \'advisory\' and objid = ? and granted and pid <> pg_backend_pid()', [OneWriter::RESTORING],
            );
        } catch (QueryException) {
            return false;
        }

        return $locks !== [];
    }

    public function replaceBy(string $path): void
    {
        $put = $this->process([
            'pg_restore', '--clean', '--if-exists', '--no-owner', '--no-privileges', '--single-transaction', '--exit-on-error',
            '--dbname='.$this->database(), $path,
        ]);
        if ($put->run() !== 0) {
            throw BackupError::notPutBack(self::words($put));
        }
        Artisan::call('migrate', ['--force' => true]);
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
