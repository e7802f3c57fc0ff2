<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * SQLite whose transactions take the lock for writing when they begin. One that begins by reading and then wants to write
 * is turned away at once where another has written meanwhile, however long it would wait; one that begins so waits its
 * turn. PHP says so to SQLite by itself only from 8.4 on.
 */
class ImmediateSqlite extends PDO
{
    private bool $isOpen = false;

    private readonly ?WriterGate $gate;

    /** @param array<int, mixed>|null $options */
    public function __construct(string $dsn, ?string $username = null, #[\SensitiveParameter] ?string $password = null,
        ?array $options = null)
    {
        $file = substr($dsn, strlen('sqlite:'));
        $this->gate = is_file($file) ? new WriterGate($file) : null; // one in memory is of this process alone
        parent::__construct($dsn, $username, $password, $options);
    }

    public function beginTransaction(): bool
    {
        $this->gate?->enter();
        try {
            $this->exec('BEGIN IMMEDIATE TRANSACTION');
        } catch (PDOException $error) {
            $this->gate?->leave();

            throw $error;
        }

        return $this->isOpen = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->isOpen = false;
        $this->gate?->leave();

        return true;
    }

    public function rollBack(): bool
    {
        $this->isOpen = false;
        try {
            $this->exec('ROLLBACK');
        } finally {
            $this->gate?->leave();
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->isOpen;
    }
}
