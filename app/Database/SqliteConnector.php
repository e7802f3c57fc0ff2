<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector as Connector;
use PDO;

/** Connects to SQLite so that transactions begin as ImmediateSqlite has them. */
class SqliteConnector extends Connector
{
    /** @param array<int, mixed> $options */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): PDO
    {
        return new ImmediateSqlite($dsn, $username, $password, $options);
    }
}
