<?php

namespace App\Backup;

use Destino\DestinoError;
use DomainException;

class BackupError extends DomainException implements DestinoError
{
    public static function noFile(string $file): self
    {
        return new self("There is no backup {$file}.");
    }

    public static function damaged(string $file, string $why): self
    {
        return new self("{$file} is no sound Destino database: {$why}. Nothing was changed.");
    }

    public static function notAFile(): self
    {
        return new self(
            'Backups are made of the SQLite file; this installation keeps its data elsewhere. Use the backups of that database server.',
        );
    }
}
