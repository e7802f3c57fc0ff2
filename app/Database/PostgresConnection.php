<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\PostgresConnection as Connection;

class PostgresConnection extends Connection
{
    protected function getDefaultQueryGrammar(): PostgresGrammar
    {
        return new PostgresGrammar($this);
    }
}
