<?php

declare(strict_types=1);

namespace App\Database;

use Throwable;

/** The disk cannot take what is written: it is full, or may only be read. What is there can still be read. */
enum StorageFault: string
{
    case Full = 'The disk is full.';
    case Failing = 'The disk takes nothing.';
    case ReadOnly = 'The disk, or the folder of the collection, can only be read.';

    /** What SQLite, PostgreSQL and PHP say of it. */
    private const SAID = [
        'database or disk is full' => self::Full, 'SQLSTATE[53100]' => self::Full, 'No space left on device' => self::Full,
        'out of free disk space' => self::Full, 'disk I/O error' => self::Failing, 'readonly database' => self::ReadOnly,
            'SQLSTATE[25006]' => self::ReadOnly,
        'Read-only file system' => self::ReadOnly, 'unable to open database file' => self::ReadOnly,
    ];

    public static function of(Throwable $error): ?self
    {
        for (; $error !== null; $error = $error->getPrevious()) {
            foreach (self::SAID as $words => $fault) {
                if (str_contains($error->getMessage(), $words)) {
                    return $fault;
                }
            }
        }

        return null;
    }

    /** What has to be done before anything can be saved again. */
    public function remedy(): string
    {
        return match ($this) {
            self::Full => 'Free some space on the machine that Destino runs on, then save again.',
            self::Failing => 'Check that the disk has free space and is sound, then save again.',
            self::ReadOnly => 'Allow Destino to write to its folder again, then save again.',
        };
    }

    /** Insufficient storage, or unavailable. */
    public function status(): int
    {
        return $this === self::Full ? 507 : 503;
    }
}
