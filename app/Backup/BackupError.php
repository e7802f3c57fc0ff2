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

    public static function notOurs(string $file, string $why): self
    {
        return new self("{$file} is not a backup of a Destino collection ({$why}). Nothing was changed.");
    }

    public static function newer(string $file): self
    {
        return new self("{$file} was made by a newer version of Destino. Update Destino first. Nothing was changed.");
    }

    public static function busy(): self
    {
        return new self('Somebody else is writing to the collection. Nothing was changed. Try again.');
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
