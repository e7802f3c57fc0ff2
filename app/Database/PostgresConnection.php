<?php

namespace App\Database;

use Illuminate\Database\PostgresConnection as Connection;

class PostgresConnection extends Connection
{
    protected function getDefaultQueryGrammar(): PostgresGrammar
    {
        return new PostgresGrammar($this);
    }
}
