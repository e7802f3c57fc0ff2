<?php

declare(strict_types=1);

namespace App\View\Components\FieldError;

use App\View\Components\Part\Part;

/** An error beside its field. */
class FieldError extends Part
{
    public function __construct(
        public readonly string $id,
        public readonly ?string $message = null,
    ) {}
}
