<?php

declare(strict_types=1);

namespace App\Backup;

use App\Database\WriterGate;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDOException;
use SQLite3;

final readonly class SqliteFile implements Storehouse
{
    private const MILLISECONDS = 5000;

    /** What SQLite says of a full disk: its code 13, and no words. */
    private const FULL = 'Backup failed: 13';

    public function __construct(private string $database) {}

    public function ending(): string
    {
        return 'sqlite';
    }

    public function copyTo(string $path): void
    {
        self::copy($this->database, $path);
    }

    public function check(string $path, string $name): void
    {
        try {
            $copy = new SQLite3($path, SQLITE3_OPEN_READONLY);
            $copy->enableExceptions(true);
            $answer = (string) $copy->querySingle('PRAGMA integrity_check');
            $copy->querySingle('SELECT count(*) FROM animals');
            $copy->close();
        } catch (\Exception $error) {
            throw BackupError::damaged($name, $error->getMessage());
        }
        if ($answer !== 'ok') {
            throw BackupError::damaged($name, $answer);
        }
    }

    public function migrations(string $path, string $name): array
    {
        try {
            $copy = new SQLite3($path, SQLITE3_OPEN_READONLY);
            $copy->enableExceptions(true);
            $rows = $copy->query('SELECT migration FROM migrations ORDER BY id');
            $found = [];
            while ($rows !== false && ($row = $rows->fetchArray(SQLITE3_NUM)) !== false) {
                $found[] = (string) $row[0];
            }
            $copy->close();
        } catch (\Exception $error) {
            throw BackupError::notOurs($name, $error->getMessage());
        }

        return $found;
    }

    public function whileNobodyWrites(callable $do): mixed
    {
        try {
            return (new WriterGate($this->database))->closed($do);
        } catch (PDOException) {
            throw BackupError::busy();
        }
    }

    public function isBeingReplaced(): bool
    {
        return (new WriterGate($this->database))->isClosed();
    }

    /** Readers see the whole of what was there or the whole of what is there now: it is brought up to date beside them. */
    public function replaceBy(string $path): void
    {
        $beside = "{$this->database}-restoring";
        try {
            self::copy($path, $beside);
            config(['database.connections.restoring' => ['database' => $beside] + config('database.connections.sqlite')]);
            Artisan::call('migrate', ['--database' => 'restoring', '--force' => true]);
            DB::purge('restoring');
            self::copy($beside, $this->database);
        } finally {
            foreach (['', '-wal', '-shm', '-gate', '-writers'] as $suffix) {
                @unlink($beside.$suffix);
            }
        }
    }

    /** @throws BackupError */
    private static function copy(string $from, string $to): void
    {
        try {
            $source = new SQLite3($from, SQLITE3_OPEN_READONLY);
            $target = new SQLite3($to);
            $source->enableExceptions(true);
            $target->enableExceptions(true);
            $source->busyTimeout(self::MILLISECONDS);
            $target->busyTimeout(self::MILLISECONDS);
            $isWhole = $source->backup($target);
            $target->close();
            $source->close();
        } catch (\Exception $error) {
            throw BackupError::notWritten($to, str_contains($error->getMessage(), self::FULL) ? 'the disk is full' : $error->getMessage());
        }
        if (! $isWhole) {
            throw BackupError::notWritten($to, 'the disk may be full');
        }
    }
}
