<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\DestinoError;
use RuntimeException;

/** A file of the product that is not there or is not what it should be. */
final class UnreadableFile extends RuntimeException implements DestinoError
{
    private function __construct(string $message, public readonly string $place)
    {
        parent::__construct($message);
    }

    public static function missing(string $file): self
    {
        return new self("The file {$file} cannot be read.", $file);
    }

    public static function noJson(string $file, string $why): self
    {
        return new self("The file {$file} is not JSON: {$why}.", $file);
    }
}
