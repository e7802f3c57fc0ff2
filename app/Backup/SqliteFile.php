<?php

declare(strict_types=1);

namespace App\Backup;

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

    public function replaceBy(string $path): void
    {
        self::copy($path, $this->database);
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
