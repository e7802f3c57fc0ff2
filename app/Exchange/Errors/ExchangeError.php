<?php

declare(strict_types=1);

namespace App\Exchange\Errors;

use Destino\DestinoError;
use DomainException;

class ExchangeError extends DomainException implements DestinoError
{
    public static function notATable(string $name): self
    {
        return new self("“{$name}” is neither a CSV nor an XLSX file that can be read.");
    }

    public static function unpacksTooLarge(int $megabytes): self
    {
        return new self("The file unpacks to more than {$megabytes} MB; nothing of it was read.");
    }

    public static function empty(): self
    {
        return new self('The file holds no rows below its headings.');
    }

    public static function tooLong(int $most): self
    {
        return new self('The file has more than '.number_format($most).' rows; bring it in in parts.');
    }

    public static function notAnArchive(string $why): self
    {
        return new self("This is no archive of a Destino collection: {$why}");
    }

    public static function notEmpty(int $animals): self
    {
        return new self(
            "This collection holds {$animals} animals. An archive is taken into an empty collection only, so that nothing is mixed up.",
        );
    }

    public static function noOwner(): self
    {
        return new self('There is no owner yet. Start Destino once and make your account, or name one with --keeper.');
    }

    /** Something that runs elsewhere does not let in, or does not answer. */
    public static function refused(string $why): self
    {
        return new self($why);
    }

    public static function noFile(string $path): self
    {
        return new self("There is no file {$path}.");
    }

    public static function unusablePhoto(string $file, string $why): self
    {
        return new self("The photograph {$file} cannot be used. {$why} Nothing was imported.");
    }

    public static function unsafePassword(string $why): self
    {
        return new self("{$why} Nothing was changed.");
    }

    public static function unknownFormat(string $format): self
    {
        return new self("“{$format}” is not one of json, csv, ped, ics.");
    }
}
