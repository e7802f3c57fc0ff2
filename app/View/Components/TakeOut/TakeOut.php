<?php

declare(strict_types=1);

namespace App\View\Components\TakeOut;

use App\View\Components\Part\Part;
use Illuminate\Database\Eloquent\Model;

/** A quiet button that removes a record; it can be undone. */
class TakeOut extends Part
{
    public function __construct(
        public readonly string $kind,
        public readonly Model $record,
        public readonly string $label,
    ) {}
}
