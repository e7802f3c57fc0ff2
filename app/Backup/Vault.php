<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;

/**
 * Backups: copies that are consistent while the collection is in use, checked after they are made, with the photographs beside
 * them, and kept as a small rotation: the last ten, and one for each of the last six months.
 */
class Vault
{
    public const KEEP = 10;

    public const MONTHS = 6;

    /** A copy that nobody has finished for so long is swept away. */
    private const UNFINISHED = 3600;

    public function __construct(
        private readonly Storehouse $store, private readonly string $folder, private readonly ?PhotoShelf $photos = null,
    ) {}

    public static function ofThisInstallation(): self
    {
        /** @var array<string, mixed> $connection */
        $connection = config('database.connections.'.config('database.default'));
        $database = (string) $connection['database'];
        if ($connection['driver'] === 'pgsql') {
            [$store, $folder] = [new PostgresServer($connection), (string) config('destino.backups')];
        } elseif (is_file($database)) {
            [$store, $folder] = [new SqliteFile($database), dirname($database).'/backups/'.pathinfo($database, PATHINFO_FILENAME)];
        } else {
            throw BackupError::notAFile();
        }

        return new self($store, $folder, new PhotoShelf(Storage::disk('local')->path('photos'), "{$folder}/photos"));
    }

    /** @return list<array{file: string, at: Carbon, bytes: int}> newest first */
    public function backups(): array
    {
        $found = [];
        foreach (glob("{$this->folder}/*.{$this->store->ending()}") ?: [] as $path) {
            if (preg_match('/^(\d{8}-\d{6})(?:-(\d+))?\.\w+$/', basename($path), $part)) {
                $found[$part[1].sprintf('%06d', $part[2] ?? 1)] = [
                    'file' => basename($path), 'at' => Carbon::createFromFormat('Ymd-His', $part[1]) ?? Carbon::now(),
                    'bytes' => (int) filesize($path),
                ];
            }
        }
        krsort($found, SORT_STRING);

        return array_values($found);
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
     * @throws BackupError when it cannot be written, or the copy is not sound
     */
    public function make(Carbon $now): string
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0700, true)) {
            throw BackupError::notWritten($this->folder, 'the folder cannot be made');
        }
        @chmod($this->folder, 0700); // it may have been made by hand
        $this->sweep();
        $name = $now->format('Ymd-His');
        for ($i = 2; is_file($this->path("{$name}.{$this->store->ending()}")); $i++) {
            $name = $now->format('Ymd-His')."-{$i}";
        }
        $file = "{$name}.{$this->store->ending()}";
        $unfinished = $this->path("{$name}.part");
        try {
            $this->store->copyTo($unfinished);
            $this->store->check($unfinished, $file);
        } catch (BackupError $error) {
            @unlink($unfinished);

            throw $error;
        }
        $this->photos?->keep();
        @chmod($unfinished, 0600); // it holds everything
        rename($unfinished, $this->path($file));
        $this->rotate();

        return $file;
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
        $this->store->check($path, $file);
        $this->checkOurs($path, $file);

        // From before the copy of what is there until the other is in place: what is written in between would be in neither.
        return $this->store->whileNobodyWrites(function () use ($path, $now): string {
            $before = $this->make($now);
            $this->store->replaceBy($path);
            $this->photos?->putBack();

            return $before;
        });
    }

    /** @throws BackupError where the file is of something else, or of a version that is not here yet */
    private function checkOurs(string $path, string $file): void
    {
        $known = array_map(fn (string $one): string => basename($one, '.php'), glob(database_path('migrations/*.php')) ?: []);
        $made = $this->store->migrations($path, $file);
        if (($made[0] ?? '') !== $known[0]) {
            throw BackupError::notOurs($file, 'its tables were made by another program');
        }
        if (array_diff($made, $known) !== []) {
            throw BackupError::newer($file);
        }
    }

    /** Whether a backup is being put back just now: what goes wrong meanwhile is no fault. */
    public function isRestoring(): bool
    {
        return $this->store->isBeingReplaced();
    }

    /** What a copy left that was broken off. */
    private function sweep(): void
    {
        foreach (glob("{$this->folder}/{,photos/}*.part*", GLOB_BRACE) ?: [] as $part) {
            if (filemtime($part) < time() - self::UNFINISHED) {
                @unlink($part);
            }
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
