<?php

namespace App\Backup;

use Illuminate\Support\Carbon;
use SQLite3;

/**
 * Backups of the database: copies that are consistent while it is in use, checked after they are made, and kept as a
 * small rotation: the last ten, and one for each of the last six months.
 */
class Vault
{
    public const KEEP = 10;

    public const MONTHS = 6;

    public function __construct(private readonly string $database, private readonly string $folder) {}

    public static function ofThisInstallation(): self
    {
        $database = (string) config('database.connections.sqlite.database');
        if (config('database.default') !== 'sqlite' || ! is_file($database)) {
            throw BackupError::notAFile();
        }

        return new self($database, dirname($database).'/backups/'.pathinfo($database, PATHINFO_FILENAME));
    }

    /** @return list<array{file: string, at: Carbon, bytes: int}> newest first */
    public function backups(): array
    {
        $found = [];
        foreach (glob("{$this->folder}/*.sqlite") ?: [] as $path) {
            if (preg_match('/^(\d{8}-\d{6})(?:-\d+)?\.sqlite$/', basename($path), $part)) {
                $found[] = [
                    'file' => basename($path), 'at' => Carbon::createFromFormat('Ymd-His', $part[1]) ?? Carbon::now(),
                    'bytes' => (int) filesize($path),
                ];
            }
        }
        usort($found, fn (array $a, array $b): int => $b['file'] <=> $a['file']);

        return $found;
    }

    public function path(string $file): string
    {
        return "{$this->folder}/{$file}";
    }

    /** Whether none was made for most of a day. */
    public function isDue(Carbon $now): bool
    {
        $last = $this->backups()[0] ?? null;

        return $last === null || $last['at']->diffInHours($now) >= 20;
    }

    /**
     * @return string the file's name
     *
     * @throws BackupError when the copy is not sound
     */
    public function make(Carbon $now): string
    {
        is_dir($this->folder) || mkdir($this->folder, 0700, true);
        $name = $now->format('Ymd-His');
        for ($i = 2; is_file($this->path("{$name}.sqlite")); $i++) {
            $name = $now->format('Ymd-His')."-{$i}";
        }
        $unfinished = $this->path("{$name}.part");
        self::copy($this->database, $unfinished);
        self::check($unfinished, "{$name}.sqlite");
        rename($unfinished, $this->path("{$name}.sqlite"));
        $this->rotate();

        return "{$name}.sqlite";
    }

    /**
     * Puts a backup in place of the database, after a backup of what is there now.
     *
     * @return string the backup of what was there
     *
     * @throws BackupError when the file is missing or not sound
     */
    public function restore(string $file, Carbon $now): string
    {
        $path = str_contains($file, '/') ? $file : $this->path($file);
        if (! is_file($path)) {
            throw BackupError::noFile($file);
        }
        self::check($path, $file);
        $before = $this->make($now);
        self::copy($path, $this->database);

        return $before;
    }

    private static function copy(string $from, string $to): void
    {
        $source = new SQLite3($from, SQLITE3_OPEN_READONLY);
        $source->busyTimeout(5000);
        $target = new SQLite3($to);
        $target->busyTimeout(5000);
        $source->backup($target);
        $target->close();
        $source->close();
    }

    /** @throws BackupError */
    private static function check(string $path, string $name): void
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

    private function rotate(): void
    {
        $months = [];
        foreach ($this->backups() as $i => $backup) {
            $month = $backup['at']->format('Y-m');
            $isFirstOfMonth = ! isset($months[$month]) && count($months) < self::MONTHS;
            $months[$month] = true;
            if ($i >= self::KEEP && ! $isFirstOfMonth) {
                unlink($this->path($backup['file']));
            }
        }
    }
}
