<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/**
 * One view of the records for whatever reads several of them: what others write meanwhile is seen by the next. It ends where
 * something is written, since a transaction that writes begins with what is there then.
 */
final class Snapshot
{
    private static ?Connection $open = null;

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    public static function during(callable $read): mixed
    {
        $connection = DB::connection();
        if (self::$open !== null || $connection->transactionLevel() > 0) {
            return $read();
        }
        // A read decides what SQLite shows from then on; PostgreSQL decides at the first one by itself.
        $connection->unprepared($connection->getDriverName() === 'pgsql' ? 'begin isolation level repeatable read' : 'begin deferred');
        self::$open = $connection;
        try {
            return $read();
        } finally {
            self::end($connection);
        }
    }

    /** Called before every transaction that writes. */
    public static function end(Connection $connection): void
    {
        if (self::$open === $connection) {
            self::$open = null;
            $connection->unprepared('rollback'); // nothing was written in it
        }
    }

    /** After a fault of the database, which would refuse whatever the page that tells of it asks. */
    public static function close(): void
    {
        self::$open === null ?: self::end(self::$open);
    }
}
