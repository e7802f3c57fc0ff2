<?php

declare(strict_types=1);

namespace App\Backup;

/** Photographs beside the backups: a file never changes, so each is kept once for all of them. */
final readonly class PhotoShelf
{
    /** Longer than the oldest backup may be. */
    private const DAYS = 220;

    public function __construct(private string $photos, private string $shelf) {}

    /** @throws BackupError when one cannot be written */
    public function keep(): void
    {
        $now = [];
        foreach (self::names($this->photos) as $name) {
            $now[$name] = true;
            self::copy("{$this->photos}/{$name}", "{$this->shelf}/{$name}");
        }
        foreach (self::names($this->shelf) as $name) { // of those that are gone, the ones that no backup can need any more
            if (isset($now[$name])) {
                touch("{$this->shelf}/{$name}");
            } elseif (filemtime("{$this->shelf}/{$name}") < time() - self::DAYS * 86400) {
                unlink("{$this->shelf}/{$name}");
            }
        }
    }

    /** @throws BackupError when one cannot be written */
    public function putBack(): void
    {
        foreach (self::names($this->shelf) as $name) {
            self::copy("{$this->shelf}/{$name}", "{$this->photos}/{$name}");
        }
    }

    private static function copy(string $from, string $to): void
    {
        if (is_file($to)) {
            return;
        }
        is_dir(dirname($to)) || mkdir(dirname($to), 0700, true);
        if (! @copy($from, "{$to}.part") || ! chmod("{$to}.part", 0600) || ! rename("{$to}.part", $to)) {
            @unlink("{$to}.part");

            throw BackupError::notWritten($to, 'the disk may be full');
        }
    }

    /** @return list<string> */
    private static function names(string $folder): array
    {
        return array_map(basename(...), glob("{$folder}/*.jpg") ?: []);
    }
}
