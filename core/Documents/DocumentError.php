<?php

declare(strict_types=1);

namespace Destino\Documents;

use Destino\DestinoError;
use InvalidArgumentException;

/** A document that is not as its schema wants it: everything that is wrong, each with its place. */
final class DocumentError extends InvalidArgumentException implements DestinoError
{
    /** @param list<string> $faults */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(implode(' ', $faults));
    }

    public static function notJson(string $kind): self
    {
        return new self(["This is no file of {$kind}: it is not JSON."]);
    }
}
