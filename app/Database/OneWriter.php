<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Events\TransactionBeginning;

/**
 * Transactions that write one after the other, on a database server as in the one file (ImmediateSqlite): what a transaction reads
 * first is still so when it writes. Each is short; how long one waits is bounded where the server is set up.
 */
class OneWriter
{
    /** Any number that all writers of a collection agree on. */
    public const LOCK = 1_147_500_919;

    /** Another, which says that a backup is being put back. */
    public const RESTORING = 1_147_500_920;

    public static function wait(TransactionBeginning $event): void
    {
        if ($event->connection->getDriverName() === 'pgsql' && $event->connection->transactionLevel() === 1) {
            $event->connection->statement('select pg_advisory_xact_lock('.self::LOCK.')');
        }
    }
}
