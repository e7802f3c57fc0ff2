<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use RuntimeException;

/** A form that was sent before is sent again, and what it made then was removed in the meantime. */
class RemovedSince extends RuntimeException
{
    public function __construct(public readonly Model&Removable $record)
    {
        parent::__construct("“{$record->sentence()}” was saved from this form before and removed since.");
    }
}
