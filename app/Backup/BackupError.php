<?php

declare(strict_types=1);

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

    public static function notWritten(string $path, string $why): self
    {
        return new self("No backup was made: {$path} could not be written ({$why}). Nothing was changed.");
    }

    public static function notPutBack(string $why): self
    {
        return new self("The backup could not be put back ({$why}). Everything is as it was before.");
    }

    public static function notAFile(): self
    {
        return new self('There is no database file to make a backup of.');
    }
}
