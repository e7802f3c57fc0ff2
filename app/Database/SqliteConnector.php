<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector as Connector;
use PDO;
use PDOException;

/**
 * Connects to SQLite so that transactions begin as ImmediateSqlite has them. Readers share a small file beside the database, which the
 * first of them makes; where a full disk has no room for it, or a disk may only be read, the collection is still read, without it.
 */
class SqliteConnector extends Connector
{
    /** @param array<int, mixed> $options */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): PDO
    {
        $file = substr($dsn, strlen('sqlite:'));
        if (! is_file($file)) {
            return new ImmediateSqlite($dsn, $username, $password, $options);
        }
        $wal = "{$file}-wal";
        $ways = [
            [$dsn, null], [$dsn, 'pragma locking_mode = exclusive'], // alone, with what others would share in memory
            // A file that nobody can write does not change; what stands in the log beside it would be overlooked.
            ...(is_file($wal) && filesize($wal) > 0 ? [] : [['sqlite:file:'.rawurlencode($file).'?immutable=1', null]]),
        ];
        $first = null;
        foreach ($ways as [$address, $pragma]) {
            try {
                $connection = new ImmediateSqlite($address, $username, $password, $options);
                $pragma === null ?: $connection->exec($pragma);
                $asked = $connection->query('select 1 from sqlite_master limit 1');
                $asked === false ?: $asked->closeCursor();

                return $connection;
            } catch (PDOException $error) {
                $first ??= BusyDatabase::is($error) ? throw $error : $error;
            }
        }

        throw $first;
    }
}
