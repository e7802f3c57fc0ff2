<?php

declare(strict_types=1);

namespace Destino\Pairing\Asking;

use Destino\DestinoError;
use Destino\Notation\NotationError;
use Destino\Notation\Reading;
use InvalidArgumentException;

/** Parts of a question that cannot be read, each with its errors. */
final class UnreadableQuestion extends InvalidArgumentException implements DestinoError
{
    /** @param non-empty-array<string, non-empty-list<NotationError>> $errors by field: sire, dam, target */
    public function __construct(public readonly array $errors, public readonly Reading $sire, public readonly Reading $dam)
    {
        parent::__construct($this->first()->getMessage());
    }

    public function first(): NotationError
    {
        return array_values($this->errors)[0][0];
    }

    public function field(): string
    {
        return array_key_first($this->errors);
    }
}
