<?php

declare(strict_types=1);

namespace App\Database;

use PDOException;

/**
 * The gate before a collection in one file: every transaction that writes goes through it, and whoever puts another file in the place
 * of the database closes it. Locks of the operating system, which end with the process that holds them: through the first one goes
 * in, the second says that somebody is inside. With one alone, writers one after the other would keep the door open for ever.
 */
final class WriterGate
{
    /** Seconds that a writer waits, as long as for another writer (config/database.php), and that closing waits for those inside. */
    private const WRITER = 15.0;

    private const CLOSING = 60.0;

    private const MICROSECONDS = 2_000;

    /** @var resource|null */
    private $door = null;

    /** @var resource|null */
    private $inside = null;

    public function __construct(private readonly string $database) {}

    /** @throws PDOException as where another keeps the database, after as long */
    public function enter(): void
    {
        if (! $this->open()) {
            return; // where no lock can be put, nothing can be written either, and the database says so
        }
        $isIn = self::lock($this->door, LOCK_SH, self::WRITER) && self::lock($this->inside, LOCK_SH, self::WRITER);
        $this->door === null || flock($this->door, LOCK_UN);
        if (! $isIn) {
            throw new PDOException('SQLSTATE[HY000]: General error: 5 database is locked (a backup is being put back)');
        }
    }

    public function leave(): void
    {
        $this->inside === null || flock($this->inside, LOCK_UN);
    }

    /**
     * Does something while nobody writes, and nobody begins to.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     *
     * @throws PDOException where somebody goes on writing for too long, or no lock can be put
     */
    public function closed(callable $do): mixed
    {
        $isClosed = $this->open() && self::lock($this->door, LOCK_EX, self::CLOSING) && self::lock($this->inside, LOCK_EX, self::CLOSING);
        try {
            return $isClosed ? $do() : throw new PDOException('SQLSTATE[HY000]: General error: 5 database is locked');
        } finally {
            foreach ([$this->inside, $this->door] as $lock) {
                $lock === null || flock($lock, LOCK_UN);
            }
        }
    }

    public function isClosed(): bool
    {
        if (! $this->open() || $this->door === null) {
            return false;
        }
        $isFree = flock($this->door, LOCK_SH | LOCK_NB);
        $isFree && flock($this->door, LOCK_UN);

        return ! $isFree;
    }

    private function open(): bool
    {
        $this->door ??= self::file("{$this->database}-gate");
        $this->inside ??= self::file("{$this->database}-writers");

        return $this->door !== null && $this->inside !== null;
    }

    /**
     * A file that nobody else can open, and so nobody else can lock.
     *
     * @return resource|null
     */
    private static function file(string $path)
    {
        $isNew = ! is_file($path);
        $file = @fopen($path, 'c') ?: null;
        $isNew && $file !== null && @chmod($path, 0600);

        return $file;
    }

    /** @param resource|null $file */
    private static function lock($file, int $kind, float $seconds): bool
    {
        $until = microtime(true) + $seconds;
        while ($file !== null && ! flock($file, $kind | LOCK_NB)) {
            if (microtime(true) > $until) {
                return false;
            }
            usleep(self::MICROSECONDS);
        }

        return $file !== null;
    }
}
