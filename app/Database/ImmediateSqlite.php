<?php

declare(strict_types=1);

namespace App\Database;

use PDO;

/**
 * SQLite whose transactions take the lock for writing when they begin. One that begins by reading and then wants to write
 * is turned away at once where another has written meanwhile, however long it would wait; one that begins so waits its
 * turn. PHP says so to SQLite by itself only from 8.4 on.
 */
class ImmediateSqlite extends PDO
{
    private bool $isOpen = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE TRANSACTION');

        return $this->isOpen = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->isOpen = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->isOpen = false;
        $this->exec('ROLLBACK');

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->isOpen;
    }
}
